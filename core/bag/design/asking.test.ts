import { describe, expect, it } from 'vitest'
import { beginBase, baseForms, formOf } from '../../parts/base/base'
import { CONTENT_KINDS } from '../../parts/contents/contents'
import { draft } from '../draft/draft'
import type { DraftPart } from '../draft/fold/draftPart'
import { answersTo, type PlacedField, rowsOf, said, standsAt, withinOf } from '../../parts/field/placedField'
import { asksFigure, figureAnswered } from '../../parts/field/figureAnswer'
import type { Fields } from '../../parts/field/field'
import type { QuestionContext } from '../../parts/field/context'
import { asksOfPart } from '../../parts/wall/asksOf'
import { firstRepeat } from '../../parts/band/own'
import { beginPart, kindOf, wallKinds, type WallSpec } from '../../parts/wall/wall'
import type { Design } from './design'
import { applyFix } from './edit'
import { BAG_FIELDS } from './bagFields'
import { stacked } from './partIds'
import { readDesign } from './read'
import { keptOf } from './stacking'
import { newDesign } from './starter'

const bag: Design = { ...newDesign('Asked'), repeats: [firstRepeat('own-1')] }

/** Every question of a group as it stands now, those within others too. */
function questions(fields: Fields, spec: object, at: readonly (string | number)[] = []): PlacedField[] {
  return rowsOf(fields, spec, at)
    .flat()
    .flatMap((put) => {
      const within = withinOf(put)
      return [put, ...(within ? questions(within.fields, spec, within.at) : [])]
    })
}

interface Asked {
  readonly fields: Fields
  readonly at: readonly string[]
  readonly spec: object
  readonly now: QuestionContext
}

/** Gives every answer that a bag's question has, and goes on asking what that opens; each has to be a document that is sound. */
function answerAll(design: Design, ask: (design: Design) => Asked, depth = 2): number {
  const { fields, at, spec, now } = ask(design)
  let given = 0
  for (const put of questions(fields, spec)) {
    const label = said(put.field.label, spec, now)
    expect(label).not.toMatch(/undefined|NaN/)
    for (const answer of answersTo(put, spec, now)) {
      const { design: next } = applyFix(design, {
        label,
        changes: answer.changes.map(change => ({ ...change, path: [...at, ...change.path] })),
      })
      const reading = readDesign(JSON.parse(JSON.stringify(next)))
      expect(reading.ok || reading.problems, `${label}: ${answer.name}`).toBe(true)
      given++
      // What was answered stands there now.
      const then = ask(next)
      const again = questions(then.fields, then.spec).find(({ path }) => path.join('.') === put.path.join('.'))!
      expect(
        answersTo(again, then.spec, then.now)
          .find(({ chosen }) => chosen)
          ?.name.replace(/\d+/g, 'n'),
        label,
      ).toBe(answer.name.replace(/\d+/g, 'n'))
      if (depth > 1) given += answerAll(next, ask, depth - 1)
    }
    if (!asksFigure(put) || !('bounds' in put.field)) continue
    for (const [to, sound] of [
      [put.field.bounds.least, true], [put.field.bounds.most, true], [put.field.bounds.most + 1, false],
    ] as const) {
      const changes = figureAnswered(put, to, spec).map(change => ({ ...change, path: [...at, ...change.path] }))
      const reading = readDesign(JSON.parse(JSON.stringify(applyFix(design, { label, changes }).design)))
      expect(reading.ok, `${label}: ${to}`).toBe(sound)
    }
  }
  return given
}

const like = { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 9, heightCm: 12 } as const
const partOf = (design: Design, id: string): { readonly part?: DraftPart } => {
  const part = draft(design).parts.find(one => one.id === id)
  return part ? { part } : {}
}

describe('what a maker is asked', () => {
  it.each(baseForms().map(({ form }) => form))('of a %s, every answer is a document that is sound', (form) => {
    const given = answerAll({ ...bag, base: beginBase(form, like) }, design => ({
      fields: formOf(design.base).fields, at: ['base'], spec: design.base, now: { gauge: draft(design).gauge, ...partOf(design, 'base') },
    }))
    expect(given).toBeGreaterThan(2)
  })

  it.each(wallKinds().map(({ kind }) => kind))('of %s, every answer is a document that is sound', (band) => {
    const rim: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 6 } }, colour: 'main' }
    const start = { ...bag, base: beginBase('oval', like), wall: stacked([rim, beginPart(band, keptOf(bag, rim, 50))]) }
    const ask = (design: Design): Asked => {
      const spec = design.wall[1]!
      return { fields: kindOf(spec).fields, at: ['wall', spec.id], spec, now: { gauge: draft(design).gauge, ...partOf(design, spec.id) } }
    }
    const reading = readDesign(JSON.parse(JSON.stringify(start)))
    expect(reading.ok || reading.problems).toBe(true)
    answerAll(start, ask, 1)
  })

  it('of the bag as a whole, every answer is a document that is sound', () => {
    answerAll(bag, design => ({ fields: BAG_FIELDS, at: [], spec: design, now: { gauge: draft(design).gauge } }))
  })

  it('says in short what it stands at', () => {
    const now = { gauge: draft(bag).gauge }
    expect(standsAt({ rounds: BAG_FIELDS.rounds, hands: BAG_FIELDS.hands }, bag, now)).toEqual([
      'joined', 'the chain does not count', 'right hand',
    ])
    expect(standsAt({ mouth: BAG_FIELDS.mouth, forChild: BAG_FIELDS.forChild }, { ...bag, mouth: { divides: 7 } }, now)).toEqual([
      'a count that divides', 'another', 'grown people',
    ])
  })

  it('takes along the other figure of a strip that would get shorter under a weight', () => {
    const design: Design = { ...bag, stretch: { beforeCm: 20, afterCm: 22, kg: 1, widthCm: 2 } }
    const before = questions({ stretch: BAG_FIELDS.stretch }, design).find(({ name }) => name === 'beforeCm')!
    expect(applyFix(design, { label: '', changes: figureAnswered(before, 30, design) }).design.stretch).toMatchObject({
      beforeCm: 30,
      afterCm: 30,
    })
    expect(applyFix(design, { label: '', changes: figureAnswered(before, 10, design) }).design.stretch).toMatchObject({
      beforeCm: 10,
      afterCm: 22,
    })
  })
})

describe('a new part in the place of one', () => {
  const likes: readonly WallSpec[] = [
    { kind: 'solid', stitch: 'dc', size: { pin: { rounds: 3 } }, colour: 'main', stripes: [{ colour: 'main', rounds: 2 }] },
    { kind: 'adjust', stitch: 'hdc', to: { pin: { change: 2 } }, mirrored: false, colour: 'main' },
    { kind: 'taper', stitch: 'sc', size: { pin: { rounds: 3, stitches: 40 } }, mirrored: false, colour: 'main' },
    { kind: 'boxes', chains: 1, finish: false, size: { want: { heightCm: 4 } }, colour: 'main' },
  ]

  it('is a document that is sound, whatever it was', () => {
    for (const was of likes) {
      for (const { kind: band } of wallKinds()) {
        const spec = beginPart(band, keptOf(bag, was, 40))
        expect(spec.kind).toBe(band)
        const reading = readDesign(JSON.parse(JSON.stringify({ ...bag, wall: stacked([spec]) })))
        expect(reading.ok || reading.problems, `${was.kind} to ${band}`).toBe(true)
      }
    }
  })

  it('keeps height, yarn and stripes where the new kind has them', () => {
    expect(beginPart('waves', keptOf(bag, likes[0], 40))).toEqual({
      kind: 'waves', size: { pin: { rounds: 3 } }, colour: 'main', stripes: [{ colour: 'main', rounds: 2 }],
    })
    expect(beginPart('taper', keptOf(bag, likes[0], 40))).toMatchObject({ stitch: 'dc', size: { want: { aroundCm: 34 } } })
    expect(beginPart('boxes', keptOf(bag, likes[2], 40))).toMatchObject({ size: { want: { heightCm: 6 } } })
  })

  it('says what it asks of the count below it', () => {
    const seen = { gauge: draft(bag).gauge, repeats: bag.repeats, hook: { hookMm: 4, strands: 1 } }
    expect(asksOfPart({ kind: 'groups', size: { pin: { rounds: 1 } }, colour: 'main' }, seen)).toBe(
      'Asks for a multiple of 4, leaves 3 for each 4.',
    )
    expect(asksOfPart(likes[0]!, seen)).toBe('')
    expect(asksOfPart({ kind: 'own', repeat: 'own-1', size: { pin: { rounds: 1 } }, colour: 'main' }, seen))
      .toBe('Asks for a multiple of 4.')
  })

  it.each(CONTENT_KINDS.map(({ kind }) => kind))('of what it must hold, %s begins as a document that is sound', (kind) => {
    const { begins } = CONTENT_KINDS.find(one => one.kind === kind)!
    expect(readDesign(JSON.parse(JSON.stringify({ ...bag, contents: begins }))).ok).toBe(true)
  })
})
