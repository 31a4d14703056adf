/*
 * Makers' texts come in without signs that cannot be seen: they are of no use to anybody, and some programs obey them.
 */

/** Signs that cannot be seen (Unicode's category Cc), but for the end of a line and the tabulator. */
// eslint-disable-next-line no-control-regex -- these are the very signs that are taken out
const UNSEEN = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/
const ALL_UNSEEN = new RegExp(UNSEEN.source, 'g')
/** Fields that are one line. */
const ONE_LINE = new Set(['name', 'tags', 'forWhom', 'place', 'lot', 'fibre', 'currency', 'colour', 'strength'])
const BREAKS = /[\n\t]/

function cleanText(text: string, field: string): string {
  const seen = UNSEEN.test(text) ? text.replaceAll('\r\n', '\n').replace(ALL_UNSEEN, ' ') : text
  return ONE_LINE.has(field) && BREAKS.test(seen) ? seen.replace(/[\n\t]+/g, ' ') : seen
}

/** A document without signs that cannot be seen: the very same where there are none. */
export function cleaned<V>(value: V, field = ''): V {
  if (typeof value === 'string') return cleanText(value, field) as V
  if (typeof value !== 'object' || value === null) return value
  let changed = false
  const entries = Object.entries(value).map(([key, inside]) => {
    const clean: unknown = cleaned(inside, Array.isArray(value) ? field : key)
    changed ||= clean !== inside
    return [key, clean] as const
  })
  if (!changed) return value
  return (Array.isArray(value) ? entries.map(([, inside]) => inside) : Object.fromEntries(entries)) as V
}
