const WORDS = [
  'no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen',
  'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty',
]

/** `once`, `twice`, `eight times`, `24 times`: as patterns say how often. */
export function timesInWords(times: number): string {
  if (times === 1) return 'once'
  if (times === 2) return 'twice'
  return `${WORDS[times] ?? times} times`
}

/** `1st`, `2nd`, `3rd`, `4th`. */
export function ordinal(n: number): string {
  const tail = n % 100
  if (tail >= 11 && tail <= 13) return `${n}th`
  return `${n}${['th', 'st', 'nd', 'rd'][n % 10] ?? 'th'}`
}

export function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
