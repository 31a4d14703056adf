/** A field that cannot stay as it is: where it is, `base.size.want.diameterCm`, and what to change. */
export interface Problem {
  readonly field: string
  readonly message: string
}
