import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { bagsCsv } from '../../core/making/log/csv'
import { bagFacts } from '../../core/making/log/facts'
import type { BagFacts } from '../../core/making/log/bagFacts'
import { skillFromBags } from '../../core/making/log/skillFromBags'
import { logbookEntryOf } from '../../core/making/log/logbookEntry'
import type { MakeDocument } from '../../core/making/make/document'
import { readLogbookText } from '../../server/jobs/readLogbookText'

const read = (text: string) => readLogbookText(text, i => `row-${i}`)
const table = (...lines: string[]) => read(lines.join('\n'))
const demo = (name: string): MakeDocument =>
  JSON.parse(readFileSync(new URL(`../../demo/make-${name}-done.json`, import.meta.url), 'utf8')) as MakeDocument
const bags = ['twine-tub', 'apple-tote', 'nutting-basket'].map(name => bagFacts(demo(name).events)!)

function brought(text: string): BagFacts[] {
  const found = read(text)
  if (!found.ok) throw new Error(JSON.stringify(found.problems))
  return found.document.makes.map(({ events }) => bagFacts(events)!)
}

describe('a logbook\'s table, brought in', () => {
  it('is the same table when it goes out again', () => {
    const odd = { ...bags[0]!, notes: 'says "wide",\nand =1+1', forWhom: '=cmd', yarnUsed: '-two, of it' }
    const out = bagsCsv([odd, bags[1]!, bags[2]!])
    expect(bagsCsv(brought(out))).toBe(out)
  })

  it('keeps the figures as they stand, and teaches nothing by them', () => {
    const [tub] = brought(bagsCsv(bags))
    expect(tub!.kept).toMatchObject({ rounds: bags[0]!.rounds.done, stitches: bags[0]!.stitches, sittings: bags[0]!.sittings.length })
    const { yarns, finished, ...listed } = logbookEntryOf(bags[0]!)
    // A table has whole minutes of a day, and no colours.
    const end = Math.floor(finished! / 60_000) * 60_000
    expect(logbookEntryOf(tub!)).toEqual({
      ...listed, begun: Math.floor(listed.begun / 60_000) * 60_000, finished: end, lastAt: end, minutes: expect.closeTo(listed.minutes, 2),
      yarns: yarns.map(({ name }) => ({ name })), fromTable: true, words: expect.any(String),
    })
    expect(skillFromBags(brought(bagsCsv(bags)))).toEqual(skillFromBags([]))
    expect(skillFromBags([...bags, ...brought(bagsCsv(bags))])).toEqual(skillFromBags(bags))
  })

  it('reads tables of other programs: fewer columns, semicolons, days alone, decimal commas', () => {
    const [net] = brought('Bag;Finished;Hook mm;Minutes\nOnion net;2025-03-02;4,5;312')
    expect(net).toMatchObject({ name: 'Onion net', hookMm: 4.5, begun: Date.UTC(2025, 2, 2), kept: { minutes: 312, rounds: 0 } })
  })

  it('leaves out bags still in hand, and takes the same bag once', () => {
    const found = brought('bag,begun,finished\nNet,2025-03-01,\nTub,2025-03-01,2025-03-04\nTub,2025-03-01,2025-03-04')
    expect(found.map(({ name }) => name)).toEqual(['Tub'])
  })

  it('says what to change in which line, and takes nothing', () => {
    const wrong = (line: string) => {
      const found = table('bag,begun,finished,hook mm,rounds', 'Tub,2025-03-01,2025-03-04,4,30', line)
      return found.ok ? '' : found.problems.map(({ field, message }) => `${field} ${message}`).join('; ')
    }
    expect(wrong('Net,2025-03-01,4th of March,4,30')).toMatch(/^line 3, finished must be a day such as 2026-09-01/)
    expect(wrong('Net,2025-02-30,2025-03-04,4,30')).toMatch(/^line 3, begun must be a day/)
    expect(wrong('Net,2025-03-05,2025-03-04,4,30')).toMatch(/^line 3, finished must not be before/)
    expect(wrong('Net,2025-03-01,2025-03-04,90,30')).toMatch(/^line 3, hook mm /)
    expect(wrong('Net,2025-03-01,2025-03-04,4,many')).toMatch(/^line 3, rounds /)
    expect(wrong(',2025-03-01,2025-03-04,4,30')).toMatch(/^line 3, bag /)
    const unnamed = table('Tub,Net', '1,2')
    expect(unnamed.ok ? '' : unnamed.problems[0]).toMatchObject({ field: 'line 1', message: expect.stringContaining('"bag" and') })
    expect(read('{"cut').ok).toBe(false)
    expect(read('bag,finished\n"open,1').ok).toBe(false)
  })

  it('is told from open documents', () => {
    expect(read(JSON.stringify(demo('twine-tub'))).ok).toBe(true)
  })
})
