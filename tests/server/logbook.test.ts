import Database from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import { newDesign } from '../../core/bag/design/starter'
import { bagFacts } from '../../core/making/log/facts'
import type { MakeEvent } from '../../core/making/make/event'
import { factTexts, logbookIn } from '../../server/db/logbook'
import { makesIn } from '../../server/db/makes'
import { migrate } from '../../server/db/migrate'
import { MIGRATIONS } from '../../server/db/migrations'
import { photoBytes, photoText, plainJpeg } from '../../server/db/photoText'

function house() {
  const db = new Database(':memory:')
  db.pragma('foreign_keys = ON')
  migrate(db, MIGRATIONS)
  return { makes: makesIn(db), logbook: logbookIn(db) }
}

const STARTED: MakeEvent = { id: 'a.1', turn: 1, at: 1_700_000_000_000, do: 'started', plan: newDesign('Pouch') }
const MOVED: MakeEvent = { id: 'a.2', turn: 2, at: 1_700_000_060_000, do: 'moved', to: { leg: 'r1', beats: 'all' } }

describe('what makes tell, as it is kept', () => {
  it('is behind as soon as something happens, and up to date once it is worked out', () => {
    const { makes, logbook } = house()
    makes.keep('one', [STARTED])
    expect(logbook.behind()).toEqual([{ id: 'one' }])
    const { events, upTo } = makes.allEvents('one')
    logbook.keepFacts('one', upTo, factTexts(bagFacts(events)!))
    expect(logbook.behind()).toEqual([])
    expect(logbook.isUpToDate('one')).toBe(true)
    expect(logbook.facts('one')).toMatchObject({ name: 'Pouch', words: expect.any(String) })
    const mark = logbook.mark()
    makes.keep('one', [MOVED])
    expect(logbook.isUpToDate('one')).toBe(false)
    expect(logbook.list()).toMatchObject([{ id: 'one', photo: false, listed: { rounds: 0 } }])
    logbook.keepFacts('one', makes.allEvents('one').upTo, factTexts(bagFacts(makes.allEvents('one').events)!))
    expect(logbook.mark()).not.toBe(mark)
  })

  it('is not told of what was thrown away, nor kept of what is gone for good', () => {
    const { makes, logbook } = house()
    makes.keep('one', [STARTED])
    logbook.keepFacts('one', 1, factTexts(bagFacts([STARTED])!))
    makes.remove('one')
    expect(logbook.list()).toEqual([])
    expect(logbook.allFacts()).toEqual([])
    makes.forget('one')
    logbook.keepFacts('one', 1, factTexts(bagFacts([STARTED])!))
    expect(logbook.facts('one')).toBeUndefined()
  })

  it('knows its events again, so that a logbook brought in twice is kept once', () => {
    const { makes } = house()
    makes.keep('one', [STARTED])
    expect(makes.hasEvent('a.1')).toBe(true)
    expect(makes.hasEvent('b.1')).toBe(false)
  })
})

/** A segment of a JPEG: its marker, its length, what is in it. */
function segment(marker: number, content: string | readonly number[]): number[] {
  const bytes = [...Buffer.from(content as never, typeof content === 'string' ? 'latin1' : undefined)]
  return [0xFF, marker, (bytes.length + 2) >> 8, (bytes.length + 2) & 255, ...bytes]
}

/** A JPEG in form: what a camera writes, and a picture of nothing. */
function camera(): Uint8Array {
  const exif = segment(0xE1, 'Exif\0\0GPS 51.5 N, taken by the pond')
  const note = segment(0xFE, 'a comment of the camera')
  const table = segment(0xDB, Array.from({ length: 65 }, (_, i) => i))
  return Uint8Array.from([
    0xFF, 0xD8, ...segment(0xE0, 'JFIF\0'), ...exif, ...note, ...table, ...segment(0xDA, [1, 1, 0, 0, 63, 0]), 1, 2, 3, 0xFF, 0xD9,
    ...Buffer.from('what some cameras write behind it'),
  ])
}

describe('photos', () => {
  it('keep the picture and lose what the camera wrote', () => {
    const plain = plainJpeg(camera())!
    const text = Buffer.from(plain).toString('latin1')
    for (const word of ['Exif', 'GPS', 'pond', 'comment', 'behind it']) expect(text).not.toContain(word)
    expect(text).toContain('JFIF')
    expect([...plain.slice(-5)]).toEqual([1, 2, 3, 0xFF, 0xD9])
    expect(plainJpeg(plain)).toEqual(plain)
  })

  it.each([
    ['nothing', new Uint8Array()], ['text', new Uint8Array(Buffer.from('<svg onload=alert(1)>'.repeat(20)))],
    ['a picture cut short', camera().slice(0, 90)],
    ['a length that lies', Uint8Array.from([0xFF, 0xD8, 0xFF, 0xE0, 0xFF, 0xFF, ...new Uint8Array(120)])],
  ])('are refused where they are %s', (_, bytes) => {
    expect(plainJpeg(bytes)).toBeUndefined()
  })

  it('are text in open documents and come back', () => {
    const plain = plainJpeg(camera())!
    expect(photoBytes(photoText(plain))).toEqual(plain)
  })
})
