/** Whether two values, as documents and steps have them, are the same, whichever way their fields are ordered. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => same(one, b[i]))
  const names = Object.keys(a)
  return names.length === Object.keys(b).length
    && names.every(name => Object.hasOwn(b, name) && same(a[name as keyof typeof a], b[name as keyof typeof b]))
}
