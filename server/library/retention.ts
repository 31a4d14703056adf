/*
 * Which copies of everything are kept: those of each reason by their own rule, so that none of one reason pushes out those of another.
 */

/** Why a copy was made. */
export const REASONS = ['daily', 'asked', 'before-update', 'before-restore'] as const
export type Reason = (typeof REASONS)[number]

/** A copy of everything. */
export interface Copy {
  /** Its file's name in the folder of copies. */
  readonly name: string
  readonly madeAt: string
  readonly why: Reason
  readonly bytes: number
}

/** The last of each day for so many days, and of each week for so many weeks; of the other reasons so many, the newest. */
export const KEPT = { 'days': 7, 'weeks': 4, 'asked': 5, 'before-update': 3, 'before-restore': 3 } as const

const DAY_MS = 86_400_000
/** A copy of a day that has not come yet was made while the clock was wrong. */
const AHEAD_MS = DAY_MS

function dayOf({ madeAt }: Copy): string {
  return madeAt.slice(0, 10)
}

/** Weeks from Monday to Sunday, numbered. 1 January 1970 was a Thursday. */
function weekOf({ madeAt }: Copy): string {
  return String(Math.floor((Date.parse(madeAt) / DAY_MS + 3) / 7))
}

/** The first of each group, of so many groups. */
function firstOfEach(copies: readonly Copy[], groupOf: (copy: Copy) => string, groups: number): Copy[] {
  const found = new Map<string, Copy>()
  for (const copy of copies) if (!found.has(groupOf(copy))) found.set(groupOf(copy), copy)
  return [...found.values()].slice(0, groups)
}

/** The newest first; those made while the clock was ahead come last, so that they push out none. */
function inOrder(copies: readonly Copy[], now: Date): Copy[] {
  const ahead = ({ madeAt }: Copy) => Number(Date.parse(madeAt) > now.getTime() + AHEAD_MS)
  return [...copies].sort((a, b) => ahead(a) - ahead(b) || (a.name < b.name ? 1 : -1))
}

/**
 * The copies that are let go.
 *
 * @param inUse names of copies that stay, whatever their age: the one just made, one that is being returned to
 * @param mostBytes so much room all copies together may take; the newest stays even if it alone takes more
 */
export function letGo(copies: readonly Copy[], now: Date, inUse: ReadonlySet<string>, mostBytes: number): Copy[] {
  const ordered = inOrder(copies, now)
  const of = (why: Reason) => ordered.filter(copy => copy.why === why)
  const kept = new Set([
    ...firstOfEach(of('daily'), dayOf, KEPT.days), ...firstOfEach(of('daily'), weekOf, KEPT.weeks),
    ...of('asked').slice(0, KEPT.asked), ...of('before-update').slice(0, KEPT['before-update']),
    ...of('before-restore').slice(0, KEPT['before-restore']), ...ordered.filter(({ name }) => inUse.has(name)),
  ])
  let room = [...kept].reduce((sum, { bytes }) => sum + bytes, 0)
  for (const copy of [...ordered].reverse()) {
    if (room <= mostBytes) break
    if (!kept.has(copy) || inUse.has(copy.name) || copy === ordered[0]) continue
    kept.delete(copy)
    room -= copy.bytes
  }
  return ordered.filter(copy => !kept.has(copy))
}
