/** `1st`, `2nd`, `3rd`, `4th`. */
export function ordinal(n: number): string {
  const tail = n % 100
  if (tail >= 11 && tail <= 13) return `${n}th`
  return `${n}${['th', 'st', 'nd', 'rd'][n % 10] ?? 'th'}`
}

export function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
