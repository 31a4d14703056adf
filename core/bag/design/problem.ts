/** A field that cannot stay as it is: where it is, `base.size.want.diameterCm`, and what to change. */
export interface Problem {
  readonly field: string
  readonly message: string
}

/** Problems as lines for people: `base.form: must be circle`. */
export function problemLines(problems: readonly Problem[]): string[] {
  return problems.map(({ field, message }) => `${field}: ${message}`)
}
