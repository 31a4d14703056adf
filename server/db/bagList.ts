import type Database from 'better-sqlite3'
import type { Portrait } from '../../core/chart/portrait'
import type { Progress } from '../../core/make/plan'

/** A bag in the list: never its document, only what is shown of it. */
export interface ListedBag {
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
export interface BagPage {
  readonly bags: readonly ListedBag[]
  /** How many there are in all that were asked for. */
  readonly total: number
}

/** In which order bags are listed. */
export const BAG_ORDERS = ['changed', 'name', 'begun', 'tall'] as const
export type BagOrder = (typeof BAG_ORDERS)[number]

/** Bags by what is done with them: on the hook, never begun, made, promised. */
export const BAG_GROUPS = ['all', 'hand', 'drafts', 'finished', 'orders'] as const
export type BagGroup = (typeof BAG_GROUPS)[number]

/** So many bags at most are answered at once. */
export const MOST_LISTED = 24

/** What is asked of the list. */
export interface BagsAsked {
  readonly find: string
  readonly order: BagOrder
  readonly from: number
  readonly group?: BagGroup
}

const ORDERED: Readonly<Record<BagOrder, string>> = {
  changed: 'removed_at DESC, updated_at DESC, rowid DESC', name: 'name COLLATE NOCASE, rowid', begun: 'created_at DESC, rowid DESC',
  tall: 'json_extract(portrait, \'$.tallCm\') DESC, rowid DESC',
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

interface Row {
  id: string
  name: string
  revision: number
  updated_at: string
  portrait: string | null
  portrait_of: number
  hand: string | null
  finished: number
  ordered: number
  tags: string | null
}

/** What came from elsewhere knows its bag by name alone. */
const MADE = `FROM makes WHERE makes.removed_at IS NULL
  AND (makes.bag = designs.id OR (makes.bag IS NULL AND makes.name = designs.name))`
const ON_HOOK = `${MADE} AND coalesce(json_extract(progress, '$.words'), '') <> 'Finished'`
const FINISHED = `${MADE} AND json_extract(progress, '$.words') = 'Finished'`
const ORDERS = `FROM orders, json_each(orders.document, '$.bags') AS line
  WHERE orders.removed_at IS NULL AND (json_extract(line.value, '$.bag') = designs.id
    OR (coalesce(json_extract(line.value, '$.bag'), '') = '' AND json_extract(line.value, '$.name') = designs.name))`

/** What a bag has to have to stand in a group. */
const IN_GROUP: Readonly<Record<BagGroup, string>> = {
  all: '', hand: ` AND EXISTS (SELECT 1 ${ON_HOOK})`, drafts: ` AND NOT EXISTS (SELECT 1 ${MADE})`,
  finished: ` AND EXISTS (SELECT 1 ${FINISHED})`, orders: ` AND EXISTS (SELECT 1 ${ORDERS})`,
}
const JUST_BEGUN = '{"round":0,"of":0,"share":0,"words":"Just begun"}'

/** Tags as a maker writes them, between commas. */
function tagsOf(tags: string | null): string[] {
  return (tags ?? '').split(',').map(tag => tag.trim()).filter(Boolean)
}

function factsOf(row: Row): Omit<ListedBag, 'portrait'> {
  return {
    id: row.id, name: row.name, revision: row.revision, updatedAt: row.updated_at, drawn: row.portrait_of >= row.revision,
    inHand: row.hand === null ? null : JSON.parse(row.hand) as Progress,
    finished: row.finished, ordered: row.ordered, tags: tagsOf(row.tags),
  }
}

function listed(row: Row): ListedBag {
  return { ...factsOf(row), portrait: row.portrait === null ? null : (JSON.parse(row.portrait) as Portrait) }
}

/** What is looked for, as a pattern: its own signs stand for themselves. */
function patternOf(find: string): string {
  return `%${find.replace(/[\\%_]/g, '\\$&')}%`
}

/** The list of the bags that the house keeps. */
export function bagListIn(db: Database.Database): BagList {
  const there = 'FROM designs WHERE removed_at IS NULL'
  const where = ['name', 'json_extract(document, \'$.note\')', 'json_extract(document, \'$.tags\')']
  const found = `${there} AND (@pattern = '%%' OR ${where.map(place => `${place} LIKE @pattern ESCAPE '\\'`).join(' OR ')})`
  const columns = `id, name, revision, updated_at, portrait, portrait_of, json_extract(document, '$.tags') AS tags,
    (SELECT coalesce(progress, '${JUST_BEGUN}') ${ON_HOOK} ORDER BY makes.updated_at DESC LIMIT 1) AS hand,
    (SELECT count(*) ${FINISHED}) AS finished, (SELECT count(DISTINCT orders.id) ${ORDERS}) AS ordered`
  type Asked = { pattern: string, from: number, most: number }
  const prepared = new Map<string, Database.Statement<[Asked], Row>>()
  function listOf(which: string, order: BagOrder, group: BagGroup): Database.Statement<[Asked], Row> {
    const key = `${which} ${order} ${group}`
    const known = prepared.get(key)
    if (known) return known
    const made = db.prepare<[Asked], Row>(
      `SELECT ${columns} ${which}${IN_GROUP[group]} ORDER BY ${ORDERED[order]} LIMIT @most OFFSET @from`,
    )
    prepared.set(key, made)
    return made
  }
  const totals = Object.fromEntries(BAG_GROUPS.map(group => [
    group, db.prepare<[{ pattern: string }], { n: number }>(`SELECT count(*) AS n ${found}${IN_GROUP[group]}`),
  ])) as Record<BagGroup, Database.Statement<[{ pattern: string }], { n: number }>>
  const undrawn = db.prepare<[number], { id: string, revision: number }>(
    'SELECT id, revision FROM designs WHERE portrait_of < revision AND removed_at IS NULL ORDER BY updated_at DESC LIMIT ?',
  )
  const keepPortrait = db.prepare<[string | null, number, string, number]>(
    'UPDATE designs SET portrait = ?, portrait_of = ? WHERE id = ? AND portrait_of < ?',
  )
  const named = db.prepare<[], { id: string, name: string }>(
    'SELECT id, name FROM designs WHERE removed_at IS NULL ORDER BY updated_at DESC, rowid DESC',
  )
  const pageOf = ({ find, order, from, group = 'all' }: BagsAsked): { readonly rows: readonly Row[], readonly of: number } => {
    const pattern = patternOf(find)
    const rows = listOf(find ? found : `${there} AND @pattern = '%%'`, order, group).all({ pattern, from, most: MOST_LISTED })
    return { rows, of: totals[group].get({ pattern })!.n }
  }
  return {
    page: (asked) => {
      const { rows, of } = pageOf(asked)
      return { bags: rows.map(listed), total: of }
    },
    pageText: (asked) => {
      const { rows, of } = pageOf(asked)
      const bags = rows.map(row => `${JSON.stringify(factsOf(row)).slice(0, -1)},"portrait":${row.portrait ?? 'null'}}`)
      return {
        text: `{"bags":[${bags.join(',')}],"total":${of}}`, undrawn: rows.filter(row => row.portrait_of < row.revision).map(({ id }) => id),
      }
    },
    named: () => named.all(),
    undrawn: most => undrawn.all(most),
    keepPortrait: (id, revision, portrait) => void keepPortrait.run(portrait && JSON.stringify(portrait), revision, id, revision),
  }
}
