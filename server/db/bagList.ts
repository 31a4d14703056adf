import type Database from 'better-sqlite3'
import type { Portrait } from '../../core/chart/portrait'

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

/** So many bags at most are answered at once. */
export const MOST_LISTED = 24

/** What is asked of the list. */
export interface BagsAsked {
  readonly find: string
  readonly order: BagOrder
  readonly from: number
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
}

function factsOf(row: Row): Omit<ListedBag, 'portrait'> {
  return { id: row.id, name: row.name, revision: row.revision, updatedAt: row.updated_at, drawn: row.portrait_of >= row.revision }
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
  const found = `${there} AND (name LIKE @pattern ESCAPE '\\' OR json_extract(document, '$.note') LIKE @pattern ESCAPE '\\')`
  const columns = 'id, name, revision, updated_at, portrait, portrait_of'
  type Asked = { pattern: string, from: number, most: number }
  const listOf = (which: string, order: BagOrder) =>
    db.prepare<[Asked], Row>(`SELECT ${columns} ${which} ORDER BY ${ORDERED[order]} LIMIT @most OFFSET @from`)
  const pages = Object.fromEntries(
    BAG_ORDERS.flatMap(order => [
      [order, listOf(`${there} AND @pattern = '%%'`, order)], [`${order} found`, listOf(found, order)],
    ]),
  ) as Record<string, Database.Statement<[Asked], Row>>
  const total = db.prepare<[], { n: number }>(`SELECT count(*) AS n ${there}`)
  const totalFound = db.prepare<[{ pattern: string }], { n: number }>(`SELECT count(*) AS n ${found}`)
  const undrawn = db.prepare<[number], { id: string, revision: number }>(
    'SELECT id, revision FROM designs WHERE portrait_of < revision AND removed_at IS NULL ORDER BY updated_at DESC LIMIT ?',
  )
  const keepPortrait = db.prepare<[string | null, number, string, number]>(
    'UPDATE designs SET portrait = ?, portrait_of = ? WHERE id = ? AND portrait_of < ?',
  )
  const named = db.prepare<[], { id: string, name: string }>(
    'SELECT id, name FROM designs WHERE removed_at IS NULL ORDER BY updated_at DESC, rowid DESC',
  )
  const pageOf = ({ find, order, from }: BagsAsked): { readonly rows: readonly Row[], readonly of: number } => {
    const pattern = patternOf(find)
    const rows = pages[find ? `${order} found` : order]!.all({ pattern, from, most: MOST_LISTED })
    return { rows, of: (find ? totalFound.get({ pattern }) : total.get())!.n }
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
