import { fileName } from '~~/core/readers/export/fileName'

/** Saves text to a file on this device, without asking the server. */
export function saveToFile(name: string, extension: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
  const link = document.createElement('a')
  link.href = address
  link.download = fileName(name, extension)
  link.click()
  setTimeout(() => URL.revokeObjectURL(address), 1_000)
}
