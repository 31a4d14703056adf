import { describe, expect, it } from 'vitest'
import { CHAINS_TO_MARKER } from '../../core/readers/beats/beat'
import { routeOf } from '../../core/readers/beats/route'
import type { Leg } from '../../core/readers/beats/leg'
import { BEAT_SIZES, doneAfter } from '../../core/readers/beats/size'
import { sayBeats } from '../../core/readers/beats/words'
import { type Draft, draft } from '../../core/bag/draft/draft'
import { formatCm } from '../../core/things/measure/format'
import { type PatternLine, patternOf, piecesOf, roundLines, rowLines } from '../../core/readers/words/pattern'
import { demoDesigns, randomDesigns } from '../pattern/spokenOf'

/*
 * The hook against the pattern: whoever follows the hook is told everything that the pattern says, in the same order, and nothing
 * else: yarn, hook, lengths, markers, rounds, tails, assembly, finishing.
 */

const LONG_MS = 600_000
const MANNER = { terms: 'us', repeats: 'brackets' } as const
const bags = [
  ...demoDesigns().map(({ name, design }) => ({ name, drafted: draft(design) })),
  ...randomDesigns(60).map((design, i) => ({ name: `random ${i}`, drafted: draft(design) })),
].filter(({ drafted: { findings, sizes } }) => sizes.stitches < 20_000 && !findings.some(({ weight }) => weight === 'stop'))

const START = '(a start)'

/** The texts of the pattern in order, each round and row for itself. */
function inThePattern(drafted: Draft): string[] {
  const { sections, finishing } = patternOf(drafted, 'us', 'brackets')
  const rounds = roundLines(drafted, 'us', 'brackets')
  const pieces = piecesOf(drafted)
  const line = ({ label, words, count }: PatternLine) => `${label}: ${words}. ${count}`
  const said = sections.filter(({ part }) => part !== 'cords').flatMap((section) => {
    const part = drafted.parts.find(({ id }) => id === section.part)!
    const piece = section.piece ? pieces.find(one => one.id === section.piece && part.pieces.includes(one)) : undefined
    const own = piece
      ? rowLines(piece, 'us', 'brackets')
      : rounds.slice(part.firstRound - 1, part.firstRound - 1 + part.rounds.length)
    const lead = section.lead === undefined ? [] : [piece?.lead ? section.lead : START]
    return [...lead, ...section.advice.filter(text => text !== 'Nothing to work here.'), ...own.map(line), ...(section.finish ?? [])]
  })
  const cords = sections.find(({ part }) => part === 'cords')
  return [...said, ...finishing.flatMap(text => (cords && text.endsWith('as told under Cords.') ? cords.advice : [text]))]
}

const speech = (leg: Leg, { design: { units } }: Draft) => ({ ...MANNER, units, start: leg.start, across: leg.sort === 'row' })

/** The texts at the hook in order; of pieces that are made several times, the first one. */
function atTheHook(drafted: Draft): string[] {
  return routeOf(drafted).legs.filter(({ id }) => !/^.+\/.+\/(?!1\/)\d+\//.test(id)).flatMap((leg) => {
    const line = leg.line(MANNER)
    if (line) return [`${line.label}: ${line.words}. ${line.count}`]
    if (leg.sort === 'start') return /\/chain$|^cords\//.test(leg.id) ? [] : [START]
    return leg.beats().map(beat => sayBeats([beat], speech(leg, drafted))).filter(text => !text.startsWith('And the next: '))
  })
}

describe('the hook against the pattern', () => {
  it('tells the same, text by text, in the same order', () => {
    for (const { name, drafted } of bags) expect(atTheHook(drafted), name).toEqual(inThePattern(drafted))
  }, LONG_MS)

  it('begins with yarn and hook, and tells every chain and every length of a start', () => {
    for (const { name, drafted } of bags) {
      const { legs } = routeOf(drafted)
      for (const leg of legs.filter(({ sort, id }) => sort === 'start' && !/\/chain$|^cords\//.test(id))) {
        const texts = leg.beats().map(beat => sayBeats([beat], speech(leg, drafted)))
        expect(texts[0], `${name} ${leg.id}`).toMatch(leg.id === 'start' ? /^Take .+ hook\.$/ : /^Take .+\.$/)
        const chains = leg.beats().filter(({ said }) => said.say === 'doing').reduce((sum, { said }) =>
          sum + (said.say === 'doing' && said.clause.say === 'chain' ? said.clause.chains : 0), 0)
        if (chains > 0) expect(chains, `${name} ${leg.id}`).toBe(leg.start.chains)
        if (leg.start.beforeCm && chains > 0)
          expect(texts.join(' '), name).toContain(`about ${formatCm(leg.start.beforeCm, drafted.design.units)} long before you work`)
      }
    }
  })

  it('does no long chain in one tap without a marker, cords among them', () => {
    for (const { name, drafted } of bags)
      for (const leg of routeOf(drafted).legs)
        for (const { said } of leg.beats())
          if (leg.sort === 'start' && said.say === 'doing' && said.clause.say === 'chain')
            expect(said.clause.chains, `${name} ${leg.id}`).toBeLessThanOrEqual(CHAINS_TO_MARKER)
  })

  it('tells every text in every size of beats, sentences apart from what is done', () => {
    for (const { name, drafted } of bags)
      for (const leg of routeOf(drafted).legs.filter(({ worked }) => !worked)) {
        const beats = leg.beats()
        const each = beats.flatMap(({ said }, i) => (said.say === 'telling' ? [sayBeats([beats[i]!], speech(leg, drafted))] : []))
        for (const size of BEAT_SIZES) {
          let told = ''
          for (let done = 0; done < beats.length; done = doneAfter(beats, done, size))
            told += ` ${sayBeats(beats.slice(done, doneAfter(beats, done, size)), speech(leg, drafted))}`
          let at = 0
          for (const text of each) {
            const found = told.indexOf(text, at)
            expect(found, `${name} ${leg.id} ${size}: ${text}`).toBeGreaterThanOrEqual(at)
            at = found + text.length
          }
          expect(told).not.toMatch(/\.;|;;|\. [a-z]/)
        }
      }
  })

  it('tells what must be known before the scissors before the scissors: every tail when its yarn is cut, before anything is sewn', () => {
    for (const { name, drafted } of bags) {
      const texts = atTheHook(drafted)
      const cuts = texts.flatMap((text, i) => (/^Fasten off/.test(text) ? [i] : []))
      for (const i of cuts) expect(texts[i], name).toMatch(/\d.* (tail|from the hook)/)
      const lastRound = texts.findLastIndex(text => /^(Round|Row) /.test(text))
      const pieceRows = drafted.parts.some(({ pieces }) => pieces.some(({ rows }) => rows.length > 0))
      if (pieceRows) expect(cuts.length, name).toBeGreaterThan(0)
      expect(texts.slice(lastRound).join(' '), name).toContain('Pin the bag')
    }
  })
})
