/** The server's words when it refuses: a sentence, and the fields that must change. */
export interface Refusal {
  readonly message?: string
  readonly data?: { readonly problems?: readonly { readonly field: string, readonly message: string }[] }
}

/** Why the server refused, in words for the maker; each field that must change on a line of its own. */
export function refusalWords({ message, data }: Refusal, status: number): string[] {
  const problems = data?.problems
  if (problems?.length) return problems.map(({ field, message: what }) => `${field}: ${what}`)
  return [message ?? `The program answered with ${status}.`]
}
