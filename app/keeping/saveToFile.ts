import { fileName } from '~~/core/readers/export/fileName'
import { type Refusal, refusalWords } from './refusal'

function saveBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(address), 1_000)
}

/** Saves text to a file on this device, without asking the server. */
export function saveToFile(name: string, extension: string, text: string): void {
  saveBlob(fileName(name, extension), new Blob([text], { type: 'application/json' }))
}

/**
 * Has the server make a file and saves it; the page stays where it is. Returns why there is none, in words for the maker, or nothing
 * once it is there.
 */
export async function saveMade(address: string): Promise<string | undefined> {
  const answer = await fetch(address).catch(() => undefined)
  if (!answer) return 'The program does not answer. Once it runs again, ask for the file once more.'
  if (!answer.ok) return refusalWords(await answer.json().catch(() => ({})) as Refusal, answer.status).join(' ')
  const [, name] = /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '') ?? []
  const whole = await answer.blob().catch(() => undefined)
  if (!whole || !name) return 'The file broke off on its way. Ask for it once more.'
  saveBlob(name, whole)
}
