import type Database from 'better-sqlite3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Portrait } from '../../core/readers/chart/portrait'
import type { Design } from '../../core/bag/design/design'
import { readDesign } from '../../core/bag/design/read'
import { newDesign } from '../../core/bag/design/starter'
import { eventOf, MakeLog } from '../../core/making/make/fold'
import { makesIn } from '../../server/db/makes'
import { type BagGroup, type BagList, bagListIn, MOST_LISTED } from '../../server/db/bagList'
import { open } from '../../server/db/connection'
import { type Repository, repository } from '../../server/db/documents'
import { devicesIn, UNUSED_DAYS } from '../../server/db/devices'
import { SITTING_MINUTES, type Versions, versionsIn } from '../../server/db/versions'

let db: Database.Database
let designs: Repository<Design>
let versions: Versions
let list: BagList

beforeEach(() => {
  db = open(':memory:')
  versions = versionsIn(db)
  designs = repository(db, 'designs', readDesign, versions)
  list = bagListIn(db)
  return () => vi.useRealTimers()
})

const portrait = (tallCm: number): Portrait => ({ wideCm: 10, tallCm, round: true, layers: [], facts: 'a bag', rounds: 3, stitches: 30 })

describe('a save whose answer was lost', () => {
  it('is answered as before when it is sent again, and is no conflict', () => {
    const { id } = designs.add(newDesign('Pouch'))
    const first = designs.save(id, 1, newDesign('Second'), 'save-one-1')
    expect(designs.save(id, 1, newDesign('Second'), 'save-one-1')).toEqual(first)
    expect(designs.find(id)!.revision).toBe(2)
    // Even once somebody else has saved on top of it: the sender learns which revision it was.
    designs.save(id, 2, newDesign('Third'), 'save-two-2')
    expect(designs.save(id, 1, newDesign('Second'), 'save-one-1')).toEqual(first)
    expect(designs.find(id)!.document.name).toBe('Third')
    expect(designs.save(id, 1, newDesign('Stale'), 'save-three')).toEqual({ kept: false, why: 'overtaken' })
  })

  it('is known as long as it is among the last six', () => {
    const { id } = designs.add(newDesign('Pouch'))
    const answers = Array.from({ length: 8 }, (_, i) => designs.save(id, i + 1, newDesign(`Save ${i}`), `save-number-${i}`))
    const again = answers.map((_, i) => designs.save(id, i + 1, newDesign(`Save ${i}`), `save-number-${i}`))
    expect(again.slice(2)).toEqual(answers.slice(2))
    expect(again.slice(0, 2)).toEqual([{ kept: false, why: 'overtaken' }, { kept: false, why: 'overtaken' }])
    expect(designs.find(id)!.revision).toBe(9)
  })

  it('begins one bag and not two', () => {
    const { id } = designs.add(newDesign('Pouch'), 'begin-one')
    expect(designs.add(newDesign('Pouch'), 'begin-one').id).toBe(id)
    expect(designs.list()).toHaveLength(1)
    expect(designs.add(newDesign('Pouch'), 'begin-two').id).not.toBe(id)
  })
})

describe('what was thrown away', () => {
  it('lies aside, is on no list, takes no save, and comes back as it was: id, revision and all', () => {
    const { id } = designs.add(newDesign('Pouch'))
    designs.save(id, 1, newDesign('Pouch, changed'))
    const before = designs.find(id)
    expect(designs.remove(id)).toBe(true)
    expect(designs.remove(id)).toBe(false)
    expect([designs.find(id), designs.list().length, list.page({ find: '', order: 'changed', from: 0 }).total]).toEqual([undefined, 0, 0])
    expect(designs.save(id, 2, newDesign('Late'))).toEqual({ kept: false, why: 'gone' })
    expect(designs.inTrash()).toMatchObject([{ id, name: 'Pouch, changed' }])
    expect(designs.bringBack(id)).toBe(true)
    expect(designs.find(id)).toEqual(before)
    expect(designs.forget(id)).toBe(false)
    designs.remove(id)
    expect(designs.forget(id)).toBe(true)
    expect(designs.bringBack(id)).toBe(false)
  })
})

describe('earlier states of a bag', () => {
  it('are kept when a maker comes back after a while, not with every save', () => {
    vi.useFakeTimers({ now: Date.UTC(2026, 8, 1, 18) })
    const { id } = designs.add(newDesign('First'))
    const later = (minutes: number) => vi.setSystemTime(Date.now() + minutes * 60_000)
    later(1)
    designs.save(id, 1, newDesign('Second'))
    later(SITTING_MINUTES + 1)
    designs.save(id, 2, newDesign('Third'))
    later(1)
    designs.save(id, 3, newDesign('Fourth'))
    expect(versions.list(id)).toMatchObject([{ revision: 2, name: 'Second' }])
    expect(versions.find(id, 2)).toMatchObject({ name: 'Second' })
    expect(versions.find(id, 9)).toBeUndefined()
  })

  it('are a bounded number: the newest, and of older days the last of each', () => {
    vi.useFakeTimers({ now: Date.UTC(2025, 0, 1, 10) })
    const { id } = designs.add(newDesign('First'))
    let revision = 1
    for (let day = 0; day < 120; day++) {
      for (let sitting = 0; sitting < 3; sitting++) {
        vi.setSystemTime(Date.UTC(2025, 0, 1 + day, 11 + 2 * sitting))
        designs.save(id, revision++, newDesign(`Day ${day}, sitting ${sitting}`))
      }
    }
    const kept = versions.list(id)
    expect(kept.length).toBeLessThanOrEqual(60)
    expect(kept.slice(0, 4).map(({ name }) => name)).toEqual([
      'Day 119, sitting 1', 'Day 119, sitting 0', 'Day 118, sitting 2', 'Day 118, sitting 1',
    ])
    const old = kept.slice(20).map(({ savedAt }) => savedAt.slice(0, 10))
    expect(new Set(old).size).toBe(old.length)
    // The third sitting of a day is its last.
    expect(kept.slice(20).filter(({ name }) => !name.endsWith('sitting 2'))).toEqual([])
  })

  it('go with their bag, and come back with it', () => {
    const { id } = designs.add(newDesign('First'))
    versions.keepNow(id)
    designs.remove(id)
    expect(versions.list(id)).toHaveLength(1)
    designs.forget(id)
    expect(versions.list(id)).toHaveLength(0)
  })
})

describe('the list of bags', () => {
  const named = (find = '', order: 'changed' | 'name' | 'tall' = 'changed', from = 0) =>
    list.page({ find, order, from }).bags.map(({ name }) => name)

  it('shows portraits of the revision that they are of, and which are to be drawn', () => {
    const { id } = designs.add(newDesign('Pouch'))
    expect(list.page({ find: '', order: 'changed', from: 0 }).bags).toMatchObject([{ id, portrait: null, drawn: false }])
    expect(list.undrawn(5)).toEqual([{ id, revision: 1 }])
    list.keepPortrait(id, 1, portrait(14))
    expect(list.page({ find: '', order: 'changed', from: 0 }).bags).toMatchObject([{ drawn: true, portrait: { tallCm: 14 } }])
    designs.save(id, 1, newDesign('Taller'))
    expect(list.page({ find: '', order: 'changed', from: 0 }).bags).toMatchObject([{ drawn: false, portrait: { tallCm: 14 } }])
    // One that was begun before the save comes too late to be called new.
    list.keepPortrait(id, 1, portrait(15))
    expect(list.undrawn(5)).toEqual([{ id, revision: 2 }])
  })

  it('finds by name and notes, whatever is typed; orders by name and size', () => {
    for (const [name, tall] of [['Beet sack', 40], ['apple tote', 30], ['50% wool_bag', 20]] as const)
      list.keepPortrait(designs.add({ ...newDesign(name), note: name === 'Beet sack' ? 'for the apple store' : '' }).id, 1, portrait(tall))
    expect(named('', 'name')).toEqual(['50% wool_bag', 'apple tote', 'Beet sack'])
    expect(named('', 'tall')).toEqual(['Beet sack', 'apple tote', '50% wool_bag'])
    expect(named('APPLE', 'name')).toEqual(['apple tote', 'Beet sack'])
    expect(named('%')).toEqual(['50% wool_bag'])
    expect(named('_')).toEqual(['50% wool_bag'])
    expect(named('\\')).toEqual([])
    expect(named('\'; DROP TABLE designs; --')).toEqual([])
  })

  it('groups them by what is done with them, says how far one on the hook is, and finds by tags', () => {
    const made = ['Draft', 'On the hook', 'Made', 'Promised'].map(name =>
      designs.add({ ...newDesign(name), ...(name === 'Draft' ? { tags: 'market, gift for Wren' } : {}) }).id)
    const makes = makesIn(db)
    for (const [at, words, finished] of [[1, 'Round 3 of 9', undefined], [2, 'Done', true]] as const) {
      const log = new MakeLog()
      const started = eventOf(log, { do: 'started', bag: made[at]!, plan: newDesign('Plan') }, { id: `make.${at}`, at: 1_700_000_000_000 })
      makes.keep(`make-${at}`, [started], { round: 3, of: 9, share: 1 / 3, words, ...(finished ? { finished } : {}) })
    }
    // One that came as a file knows its bag by name.
    const brought = eventOf(new MakeLog(), { do: 'started', plan: newDesign('Draft') }, { id: 'make.3', at: 1_700_000_000_000 })
    makes.keep('make-3', [brought], { round: 9, of: 9, share: 1, words: 'Done', finished: true })
    makes.remove('make-3')
    makes.keep('make-4', [{ ...brought, id: 'make.4' }], { round: 9, of: 9, share: 1, words: 'Done', finished: true })
    const order = { name: 'Fair', bags: [{ bag: made[3], name: 'Promised', number: 2 }] }
    repository(db, 'orders', document => ({ ok: true, document: document as typeof order })).add(order)
    const inGroup = (group: BagGroup) => list.page({ find: '', order: 'name', from: 0, group }).bags.map(({ name }) => name)
    expect(inGroup('hand')).toEqual(['On the hook'])
    expect(inGroup('finished')).toEqual(['Draft', 'Made'])
    expect(inGroup('orders')).toEqual(['Promised'])
    expect(inGroup('drafts')).toEqual(['Promised'])
    expect(list.page({ find: '', order: 'name', from: 0, group: 'hand' }).total).toBe(1)
    const all = list.page({ find: '', order: 'name', from: 0 }).bags
    expect(all.map(({ inHand, finished, ordered, tags }) => [inHand?.words ?? '', finished, ordered, tags])).toEqual([
      ['', 1, 0, ['market', 'gift for Wren']], ['', 1, 0, []], ['Round 3 of 9', 0, 0, []], ['', 0, 1, []],
    ])
    expect(named('wren')).toEqual(['Draft'])
    expect(JSON.parse(list.pageText({ find: '', order: 'name', from: 0 }).text)).toEqual(list.page({ find: '', order: 'name', from: 0 }))
  })

  it('comes in stretches', () => {
    for (let i = 0; i < MOST_LISTED + 5; i++) designs.add(newDesign(`Bag ${String(i).padStart(2, '0')}`))
    expect(named('', 'name')).toHaveLength(MOST_LISTED)
    expect(named('', 'name', MOST_LISTED)).toEqual(['Bag 24', 'Bag 25', 'Bag 26', 'Bag 27', 'Bag 28'])
    expect(list.page({ find: '', order: 'name', from: 0 }).total).toBe(MOST_LISTED + 5)
    const asked = { find: '', order: 'changed', from: 3 } as const
    list.keepPortrait(list.page(asked).bags[0]!.id, 1, portrait(9))
    expect(JSON.parse(list.pageText(asked).text)).toEqual(list.page(asked))
    expect(list.pageText(asked).undrawn).toHaveLength(MOST_LISTED - 1)
  })
})

describe('a row that cannot be read', () => {
  it('is shown with why, hides no other, and can be thrown away', () => {
    const broken = designs.add(newDesign('Broken')).id
    designs.add(newDesign('Sound'))
    db.prepare('UPDATE designs SET document = json_set(document, \'$.base.form\', \'cube\') WHERE id = ?').run(broken)
    expect(designs.list().map(({ document, unreadable }) => [document.name, unreadable !== undefined])).toEqual([
      ['Sound', false], ['Broken', true],
    ])
    expect(designs.find(broken)!.unreadable!.join('; ')).toContain('base.form: must be one of')
    expect(designs.find(broken)!.document).toMatchObject({ name: 'Broken', base: { form: 'cube' } })
    expect(designs.remove(broken)).toBe(true)
  })

  it('that holds nothing where something may be left out is mended', () => {
    const { id } = designs.add(newDesign('Old'))
    db.prepare('UPDATE designs SET document = json_set(document, \'$.stretch\', null, \'$.wall[0].stripes\', null) WHERE id = ?').run(id)
    expect(designs.find(id)).toMatchObject({ document: newDesign('Old') })
    expect(designs.find(id)!.unreadable).toBeUndefined()
  })
})

describe('machines that were let in', () => {
  it('are known by their token, which is kept as a hash alone, until they are sent away or not used for long', () => {
    const devices = devicesIn(db)
    const now = new Date(Date.UTC(2026, 8, 1))
    const { device, token } = devices.pair('my phone', now)
    const later = (days: number) => new Date(now.getTime() + days * 86_400_000)
    expect(devices.knownBy(token, later(1))).toMatchObject({ id: device.id })
    expect(devices.knownBy(`${token}x`, later(1))).toBeUndefined()
    expect(JSON.stringify(db.prepare('SELECT * FROM devices').all())).not.toContain(token)
    expect(devices.knownBy(token, later(UNUSED_DAYS))).toBeDefined()
    expect(devices.knownBy(token, later(2 * UNUSED_DAYS + 1))).toBeUndefined()
    const [unused] = devices.list()
    expect(devices.sendAway(unused!.id)).toBe(true)
    expect(devices.list()).toEqual([])
    const again = devices.pair('tablet', now)
    expect(devices.sendAway(again.device.id)).toBe(true)
    expect(devices.knownBy(again.token, now)).toBeUndefined()
  })
})
