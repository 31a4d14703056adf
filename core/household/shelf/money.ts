/*
 * Money is whole hundredths of the maker's currency, so that sums are exact.
 */

/** Thousands as `sum` parts them. */
const THOUSANDS = /^\s*\d{1,3}(?:,\d{3})+(?:\.\d{1,2})?\s*$/

/** Hundredths typed as `4.50`, `4,5`, `4` or `1,250.00`; nothing of what is no sum. */
export function hundredthsIn(typed: string): number | undefined {
  const found = /^\s*(\d{1,7})(?:[.,](\d{1,2}))?\s*$/.exec(THOUSANDS.test(typed) ? typed.replaceAll(',', '') : typed)
  return found ? 100 * Number(found[1]) + Number((found[2] ?? '').padEnd(2, '0')) : undefined
}

/** Hundredths as they are read: `4.50`. */
export function sum(hundredths: number): string {
  return `${Math.trunc(hundredths / 100).toLocaleString('en')}.${String(Math.abs(hundredths) % 100).padStart(2, '0')}`
}
