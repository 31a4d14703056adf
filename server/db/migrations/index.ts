// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- tests meet this file outside the server
/// <reference path="./sql.d.ts" />
import designsAndSwatches from './001-designs-and-swatches.sql?text'
import makes from './002-makes.sql?text'
import keptSafe from './003-kept-safe.sql?text'
import logbook from './004-logbook.sql?text'
import yarns from './005-yarns.sql?text'
import orders from './006-orders.sql?text'
import groups from './007-groups.sql?text'
import facts from './008-facts.sql?text'
import finishedMakes from './009-finished-makes.sql?text'

/** A numbered change of the tables. */
export interface Migration {
  readonly number: number
  readonly sql: string
}

/** Every change of the tables, in order and without gaps. */
export const MIGRATIONS: readonly Migration[] = [
  { number: 1, sql: designsAndSwatches }, { number: 2, sql: makes }, { number: 3, sql: keptSafe },
  { number: 4, sql: logbook }, { number: 5, sql: yarns }, { number: 6, sql: orders },
  { number: 7, sql: groups }, { number: 8, sql: facts }, { number: 9, sql: finishedMakes },
]
