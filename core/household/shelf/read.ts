import { documentRules } from '../../bag/design/classes'
import { check, isObject, type Problem, type Reading, refuse } from '../../bag/design/read'
import { SHELF_YARN_FIELDS, type ShelfYarn } from './yarn'

const RULES = documentRules(SHELF_YARN_FIELDS)

/** A figure so far from what the craft expects is a slip of the pen (from memory: hands differ by a third at most). */
const FAR = 4

/** Impossible figures of unravelling or weighing. */
function problems({ unravelled, weighed }: ShelfYarn): Problem[] {
  const found: Problem[] = []
  if (unravelled) {
    const times = unravelled.yarnCm / unravelled.rowCm
    if (times < 10 / FAR || times > 10 * FAR) {
      found.push({
        field: 'unravelled.yarnCm',
        message: `makes ${times.toFixed(1)} times the length of the row; stitches eat some 7 to 16 times theirs: measure again`,
      })
    }
  }
  if (weighed && weighed.wideCm / weighed.stitches > 12) {
    const wide = (weighed.wideCm / weighed.stitches).toFixed(1)
    found.push({ field: 'weighed.wideCm', message: `makes a stitch ${wide} cm wide; count again` })
  }
  return found
}

/**
 * Reads a yarn of the shelf from what a file or a request held.
 *
 * @returns the yarn with defaults filled in, or the fields that must change
 */
export function readShelfYarn(input: unknown): Reading<ShelfYarn> {
  if (!isObject(input) || input.fairHollow !== 'yarn')
    return refuse('fairHollow', 'this is not a yarn of Fair Hollow: its "fairHollow" field must say "yarn"')
  return check(input, RULES, problems)
}
