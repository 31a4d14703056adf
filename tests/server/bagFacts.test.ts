import type Database from 'better-sqlite3'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readDesign } from '../../core/bag/design/read'
import { newDesign } from '../../core/bag/design/starter'
import { bagListIn, BAG_GROUPS, BAG_ORDERS, MOST_LISTED } from '../../server/db/bagList'
import { open } from '../../server/db/connection'
import { repository } from '../../server/db/documents'

/*
 * What is kept beside the bags for their list is what a look at all documents says, after whatever was done in whatever order.
 */

const NAMES = ['Tote', 'Net', 'Pouch']

interface Make {
  id: string
  name: string
  bag: string | null
  progress: string | null
  updated_at: string
}

interface Bag {
  id: string
  name: string
  document: string
  removed_at: string | null
  portrait: string | null
}

/** What the list says of a bag, by a look at every document: another way than the triggers'. */
function byLooking(db: Database.Database): Map<string, string> {
  type Line = { readonly bag?: string, readonly name?: string }
  const makes = db.prepare('SELECT * FROM makes WHERE removed_at IS NULL').all() as Make[]
  const orders = (db.prepare('SELECT document FROM orders WHERE removed_at IS NULL').pluck().all() as string[])
    .map(text => (JSON.parse(text) as { bags: Line[] }).bags)
  const designs = db.prepare('SELECT * FROM designs').all() as Bag[]
  return new Map(designs.map(({ id, name, document, removed_at: removed, portrait }) => {
    const own = makes.filter(make => (make.bag === null ? make.name === name : make.bag === id))
    const isDone = ({ progress }: { progress: string | null }) => (JSON.parse(progress ?? '{}') as { finished?: boolean }).finished === true
    const hand = own.filter(make => !isDone(make)).sort((a, b) => (a.updated_at < b.updated_at ? 1 : -1))[0]
    const ordered = orders.filter(lines => lines.some(line => (line.bag ? line.bag === id : line.name === name))).length
    const { note = '', tags = '' } = JSON.parse(document) as { note?: string, tags?: string }
    const tall = portrait === null ? 0 : (JSON.parse(portrait) as { tallCm: number }).tallCm
    const made = [own.length, own.filter(isDone).length, ordered]
    return [id, JSON.stringify([name, note, tags, removed !== null, tall, hand?.updated_at ?? null, ...made])]
  }))
}

function asKept(db: Database.Database): Map<string, string> {
  const rows = db.prepare(`SELECT bag_facts.*, makes.updated_at AS hand_at FROM bag_facts LEFT JOIN makes ON makes.id = hand`).all() as
    Record<string, string | number | null>[]
  return new Map(rows.map(({ bag, name, note, tags, removed, tall, hand_at: hand, made, finished, ordered }) =>
    [String(bag), JSON.stringify([name, note, tags, removed === 1, tall, hand, made, finished, ordered])]))
}

const which = fc.nat(3)
const name = fc.constantFrom(...NAMES)
const TABLES = ['designs', 'makes', 'orders'] as const
const deed = fc.record({
  does: fc.constantFrom('design', 'save', 'portrait', 'remove', 'back', 'forget', 'make', 'work', 'order', 'reorder'),
  of: which, table: fc.constantFrom(...TABLES), name, byName: fc.boolean(), note: fc.constantFrom('', 'lined'),
  finished: fc.boolean(),
  lines: fc.array(fc.record({ of: which, name, byName: fc.boolean() }), { maxLength: 3 }),
})
type Deed = typeof deed extends fc.Arbitrary<infer D> ? D : never

function doing(db: Database.Database): (deed: Deed) => void {
  const designs = repository(db, 'designs', readDesign)
  const idOf = (table: string, n: number) =>
    String(db.prepare(`SELECT id FROM ${table} ORDER BY rowid LIMIT 1 OFFSET ?`).pluck().get(n) ?? '')
  let clock = 0
  const now = () => `2026-${String(++clock).padStart(6, '0')}`
  const run = (sql: string, ...values: unknown[]) => void db.prepare(sql).run(...values)
  const documentOf = ({ lines }: Deed) => JSON.stringify({
    bags: lines.map(line => ({ name: line.name, bag: line.byName ? '' : idOf('designs', line.of) })),
  })
  const does: Record<string, (deed: Deed) => void> = {
    design: one => void designs.add(newDesign(one.name)),
    save: (one) => {
      const kept = designs.find(idOf('designs', one.of))
      if (kept) designs.save(kept.id, kept.revision, { ...newDesign(one.name), note: one.note, tags: one.note })
    },
    portrait: ({ of }) => run('UPDATE designs SET portrait = ? WHERE id = ?', JSON.stringify({ tallCm: ++clock }), idOf('designs', of)),
    remove: one => run(`UPDATE ${one.table} SET removed_at = ? WHERE id = ?`, now(), idOf(one.table, one.of)),
    back: one => run(`UPDATE ${one.table} SET removed_at = NULL WHERE id = ?`, idOf(one.table, one.of)),
    forget: one => run(`DELETE FROM ${one.table} WHERE id = ?`, idOf(one.table, one.of)),
    make: one => run('INSERT INTO makes (id, name, bag, created_at, updated_at) VALUES (?, ?, ?, ?, ?)',
      `m${++clock}`, one.name, one.byName ? null : idOf('designs', one.of), now(), now()),
    work: one => run('UPDATE makes SET progress = ?, updated_at = ? WHERE id = ?',
      JSON.stringify({ words: 'Round 3 of 9', ...(one.finished ? { finished: true } : {}) }), now(), idOf('makes', one.of)),
    order: one => run('INSERT INTO orders (id, name, document, created_at, updated_at) VALUES (?, \'O\', ?, \'1\', \'1\')',
      `o${++clock}`, documentOf(one)),
    reorder: one => run('UPDATE orders SET document = ? WHERE id = ?', documentOf(one), idOf('orders', one.of)),
  }
  return one => does[one.does]!(one)
}

describe('what is kept of bags for their list', () => {
  it('is what a look at every document says, after anything in any order', () => {
    fc.assert(fc.property(fc.array(deed, { minLength: 1, maxLength: 40 }), (deeds) => {
      const db = open(':memory:')
      const does = doing(db)
      for (const one of deeds) does(one)
      const [kept, looked] = [asKept(db), byLooking(db)]
      db.close()
      expect([...kept].sort()).toEqual([...looked].sort())
    }), { numRuns: 300 })
  })

  it('is listed stretch by stretch, each bag once, in every order and group, though bags are saved between', () => {
    const db = open(':memory:')
    const designs = repository(db, 'designs', readDesign)
    const list = bagListIn(db)
    const ids = Array.from({ length: MOST_LISTED * 2 + 7 }, (_, i) => designs.add(newDesign(`bag ${i % 5}`)).id)
    for (const order of BAG_ORDERS) {
      for (const group of BAG_GROUPS) {
        const seen: string[] = []
        let after: string | null = null
        do {
          const page = list.page({ find: '', order, from: 0, group, ...(after === null ? {} : { after }) })
          seen.push(...page.bags.map(({ id }) => id))
          after = page.next
        } while (after !== null)
        expect(new Set(seen).size).toBe(seen.length)
        expect(seen.length).toBe(group === 'all' || group === 'drafts' ? ids.length : 0)
      }
    }
    // One of the first stretch is saved while the second is asked for: it moves to the front, and nobody is left out.
    const first = list.page({ find: '', order: 'changed', from: 0 })
    const moved = list.page({ find: '', order: 'changed', from: 0, after: first.next! }).bags[3]!
    designs.save(moved.id, moved.revision, newDesign('moved'))
    const second = list.page({ find: '', order: 'changed', from: 0, after: first.next! })
    expect(first.bags.map(({ id }) => id).some(id => second.bags.some(bag => bag.id === id))).toBe(false)
    db.close()
  })
})
