import { TRASHES } from '../../db/repositories'
import { TRASH_DAYS } from '../../library/emptyTrash'

/** Everything in the trash. */
export default defineEventHandler(() => ({
  days: TRASH_DAYS,
  things: Object.entries(TRASHES)
    .flatMap(([kind, trash]) => trash().inTrash().map(thing => ({ kind, ...thing })))
    .sort((a, b) => (a.removedAt < b.removedAt ? 1 : -1)),
}))
