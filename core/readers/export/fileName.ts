/** A file name that every system takes, from what a maker called a thing. */
export function fileName(name: string, extension: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^a-zA-Z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
  return `${plain || 'bag'}.${extension}`
}
