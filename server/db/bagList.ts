import type Database from 'better-sqlite3'
import type { Portrait } from '../../core/readers/chart/portrait'
import type { Progress } from '../../core/making/make/plan'

/** A bag in the list: never its document, only what is shown of it. */
interface ListedBag {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly updatedAt: string
  /** How it looked when it was last drawn; nothing of one that never was. */
  readonly portrait: Portrait | null
  /** Whether that is how it looks now. */
  readonly drawn: boolean
  /** How far the one on the hook is, the last that was worked on; nothing where none is. */
  readonly inHand: Progress | null
  /** How many of it are finished, and in how many orders it stands. */
  readonly finished: number
  readonly ordered: number
  readonly tags: readonly string[]
}

/** A stretch of the list. */
interface BagPage {
  readonly bags: readonly ListedBag[]
  /** How many there are in all that were asked for. */
  readonly total: number
  /** The key of the next stretch; nothing behind the last. */
  readonly next: string | null
}

/** In which order bags are listed. */
export const BAG_ORDERS = ['changed', 'name', 'begun', 'tall'] as const
export type BagOrder = (typeof BAG_ORDERS)[number]

/** Bags by what is done with them: on the hook, never begun, made, promised. */
export const BAG_GROUPS = ['all', 'hand', 'drafts', 'finished', 'orders'] as const
export type BagGroup = (typeof BAG_GROUPS)[number]

/** So many bags at most are answered at once. */
export const MOST_LISTED = 24

/** A request for the list. */
interface BagsAsked {
  readonly find: string
  readonly order: BagOrder
  readonly from: number
  readonly group?: BagGroup
  /** The `next` of the stretch before: what was changed meanwhile is neither left out nor listed twice. */
  readonly after?: string
}

/** Columns that bags are sorted by, and whether it falls; those that are alike, by their number. */
const ORDERED: Readonly<Record<BagOrder, { readonly key: string, readonly falls: boolean }>> = {
  changed: { key: 'updated_at', falls: true }, name: { key: 'name COLLATE NOCASE', falls: false },
  begun: { key: 'created_at', falls: true }, tall: { key: 'tall', falls: true },
}

/** The list of bags, and their portraits. */
export interface BagList {
  readonly page: (asked: BagsAsked) => BagPage
  /** The same as JSON, the portraits as they are kept; and which bags of it have none of their present state. */
  readonly pageText: (asked: BagsAsked) => { readonly text: string, readonly undrawn: readonly string[] }
  /** Bags whose portrait is of an earlier revision, or that have none. */
  readonly undrawn: (most: number) => { readonly id: string, readonly revision: number }[]
  /** Every bag by its name, the last changed first. */
  readonly named: () => { readonly id: string, readonly name: string }[]
  readonly keepPortrait: (id: string, revision: number, portrait: Portrait | null) => void
}

interface BagRow {
  id: string
  name: string
  revision: number
  updated_at: string
  portrait: string | null
  portrait_of: number
  hand: string | null
  finished: number
  ordered: number
  tags: string
  number: number
  key: string | number
}

/** Conditions for a bag to stand in a group. */
const IN_GROUP: Readonly<Record<BagGroup, string>> = {
  all: '', hand: ' AND hand IS NOT NULL', drafts: ' AND made = 0', finished: ' AND finished > 0', orders: ' AND ordered > 0',
}
const JUST_BEGUN = '{"round":0,"of":0,"share":0,"words":"Just begun"}'
const FOUND = ' AND (name LIKE @pattern ESCAPE \'\\\' OR note LIKE @pattern ESCAPE \'\\\' OR tags LIKE @pattern ESCAPE \'\\\')'

/** Where a stretch of the list ended: the key of its last bag, and its number. */
type Place = readonly [key: string | number, number: number]

/** The place that a page names; nothing of what is none. */
export function placeIn(after: string): Place | undefined {
  try {
    const place: unknown = JSON.parse(after)
    return Array.isArray(place) && place.length === 2 && ['string', 'number'].includes(typeof place[0]) && Number.isSafeInteger(place[1])
      ? place as unknown as Place
      : undefined
  }
  catch {
    return undefined
  }
}

/** Tags as a maker writes them, between commas. */
function tagsOf(tags: string): string[] {
  return tags.split(',').map(tag => tag.trim()).filter(Boolean)
}

function factsOf(row: BagRow): Omit<ListedBag, 'portrait'> {
  return {
    id: row.id, name: row.name, revision: row.revision, updatedAt: row.updated_at, drawn: row.portrait_of >= row.revision,
    inHand: row.hand === null ? null : JSON.parse(row.hand) as Progress,
    finished: row.finished, ordered: row.ordered, tags: tagsOf(row.tags),
  }
}

function listed(row: BagRow): ListedBag {
  return { ...factsOf(row), portrait: row.portrait === null ? null : (JSON.parse(row.portrait) as Portrait) }
}

/** The search, as a pattern: its own signs stand for themselves. */
function patternOf(find: string): string {
  return `%${find.replace(/[\\%_]/g, '\\$&')}%`
}

/** The SQL of a stretch: the bags are picked from what is kept for it, and only then looked at. */
function stretchSql(order: BagOrder, group: BagGroup, isFound: boolean, isAfter: boolean): string {
  const { key, falls } = ORDERED[order]
  const after = isAfter ? ` AND (${key}, number) ${falls ? '<' : '>'} (@key, @number)` : ''
  const inOrder = (table: string) => [`${table}${key}`, `${table}number`].map(one => (falls ? `${one} DESC` : one)).join(', ')
  return `SELECT designs.id, picked.name, designs.revision, designs.updated_at, portrait, portrait_of, tags, finished, ordered, number,
      picked.${key.split(' ')[0]!} AS key, iif(hand IS NULL, NULL, coalesce(makes.progress, '${JUST_BEGUN}')) AS hand
    FROM (SELECT * FROM bag_facts WHERE removed = 0${isFound ? FOUND : ''}${IN_GROUP[group]}${after}
      ORDER BY ${inOrder('')} LIMIT @most OFFSET @from) AS picked
    JOIN designs ON designs.id = picked.bag LEFT JOIN makes ON makes.id = hand ORDER BY ${inOrder('picked.')}`
}

/** The list of the bags that are kept. */
export function bagListIn(db: Database.Database): BagList {
  type Wanted = { pattern: string, from: number, most: number, key: string | number, number: number }
  const prepared = new Map<string, Database.Statement<[Wanted], BagRow>>()
  function stretchOf(...wanted: Parameters<typeof stretchSql>): Database.Statement<[Wanted], BagRow> {
    const key = wanted.join(' ')
    const made = prepared.get(key) ?? db.prepare<[Wanted], BagRow>(stretchSql(...wanted))
    prepared.set(key, made)
    return made
  }
  const totals = (found: string) => Object.fromEntries(BAG_GROUPS.map(group => [
    group, db.prepare<[{ pattern: string }], number>(`SELECT count(*) FROM bag_facts WHERE removed = 0${found}${IN_GROUP[group]}`).pluck(),
  ])) as Record<BagGroup, Database.Statement<[{ pattern: string }], number>>
  const [ofAll, ofFound] = [totals(''), totals(FOUND)]
  const undrawn = db.prepare<[number], { id: string, revision: number }>(
    'SELECT id, revision FROM designs WHERE portrait_of < revision AND removed_at IS NULL ORDER BY updated_at DESC LIMIT ?',
  )
  const keepPortrait = db.prepare<[string | null, number, string, number]>(
    'UPDATE designs SET portrait = ?, portrait_of = ? WHERE id = ? AND portrait_of < ?',
  )
  const named = db.prepare<[], { id: string, name: string }>(
    'SELECT bag AS id, name FROM bag_facts WHERE removed = 0 ORDER BY updated_at DESC, number DESC',
  )
  const pageOf = ({ find, order, from, group = 'all', after }: BagsAsked) => {
    const [pattern, place] = [patternOf(find), after === undefined ? undefined : placeIn(after)]
    const [key, number] = place ?? ['', 0]
    const rows = stretchOf(order, group, find !== '', place !== undefined).all({ pattern, from, most: MOST_LISTED, key, number })
    const last = rows.at(-1)
    const total = (find === '' ? ofAll : ofFound)[group].get({ pattern })!
    return { rows, total, next: last && rows.length === MOST_LISTED ? JSON.stringify([last.key, last.number] satisfies Place) : null }
  }
  return {
    page: (asked) => {
      const { rows, ...page } = pageOf(asked)
      return { bags: rows.map(listed), ...page }
    },
    pageText: (asked) => {
      const { rows, ...page } = pageOf(asked)
      const bags = rows.map(row => `${JSON.stringify(factsOf(row)).slice(0, -1)},"portrait":${row.portrait ?? 'null'}}`)
      return {
        text: `{"bags":[${bags.join(',')}],${JSON.stringify(page).slice(1)}`,
        undrawn: rows.filter(row => row.portrait_of < row.revision).map(({ id }) => id),
      }
    },
    named: () => named.all(),
    undrawn: most => undrawn.all(most),
    keepPortrait: (id, revision, portrait) => void keepPortrait.run(portrait && JSON.stringify(portrait), revision, id, revision),
  }
}
