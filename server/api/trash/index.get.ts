import { ASIDE, ASIDE_DAYS } from '../../db/repositories'

/** Everything that was thrown away and lies aside. */
export default defineEventHandler(() => ({
  days: ASIDE_DAYS,
  things: Object.entries(ASIDE)
    .flatMap(([kind, of]) => of().inTrash().map(thing => ({ kind, ...thing })))
    .sort((a, b) => (a.removedAt < b.removedAt ? 1 : -1)),
}))
