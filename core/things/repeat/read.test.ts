import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { REPEATS, SEED } from '../../../tests/arbitraries/designs'
import { foundation } from '../round/edge'
import { chain, each, inOne, repeat, skip, type Step, together } from '../round/step'
import type { Terms } from '../stitch/dictionary'
import { wallKinds, type WallSpec } from '../../parts/wall/wall'
import { stepsWords } from '../../readers/words/stepWords'
import { readSteps } from './read'

const words = (steps: readonly Step[], terms: Terms) =>
  stepsWords(steps, { terms, on: foundation('stitch', 100_000), start: { kind: 'ring', chains: 0 } })
const read = (text: string, terms: Terms = 'us') => {
  const found = readSteps(text, terms)
  return found.ok ? found.steps : `${found.at}+${found.length} ${found.what}`
}

const kinds = fc.constantFrom('sc', 'hdc', 'dc', 'tr') as fc.Arbitrary<'sc' | 'hdc' | 'dc' | 'tr'>
const loops = fc.constantFrom(undefined, 'back', 'front', 'backAndThird', 'frontPost', 'backPost') as fc.Arbitrary<'back' | undefined>
const some = fc.integer({ min: 1, max: 9 })
const leaf: fc.Arbitrary<Step> = fc.oneof(
  fc.tuple(kinds, some, loops).map(([kind, n, loop]) => each(kind, n, loop)),
  fc.tuple(kinds, fc.integer({ min: 2, max: 6 })).map(([kind, n]) => inOne(kind, n)),
  fc.tuple(kinds, fc.integer({ min: 2, max: 4 })).map(([kind, n]) => together(kind, n)),
  some.map(skip),
  some.map(chain),
  fc
    .tuple(kinds, fc.constantFrom('space', 'chains', 'below'))
    .chain(([kind, aim]) => some.map(times => ({ do: 'stitch', kind, times, aim }) as Step)),
  fc.tuple(kinds, fc.constantFrom('gap', 'gapBelow', 'same')).map(([kind, aim]) => ({ do: 'stitch', kind, times: 1, aim }) as Step),
  fc
    .tuple(kinds, some, fc.constantFrom(undefined, 'space', 'same', 'gap'))
    .map(([kind, n, aim]) => ({ do: 'group', steps: [each(kind, 1), chain(n), each(kind, 2)], ...(aim ? { aim } : {}) }) as Step),
  fc.tuple(kinds, some).map(([kind, n]) => repeat(n + 1, inOne(kind, 2))),
)
/** Steps with nothing said twice: how many of what into what, repeats worked out. */
function plainly(steps: readonly Step[]): string[] {
  const found: string[] = []
  const say = (what: string, times = 1) => {
    for (let i = 0; i < times; i++) found.push(what)
  }
  for (const step of steps) {
    if (step.do === 'repeat') for (let i = 0; i < step.times; i++) found.push(...plainly(step.steps))
    else if (step.do === 'stitch') say(`${step.kind} ${step.loop ?? 'both'} ${step.aim ?? 'next'}`, step.times)
    else if (step.do === 'group') say(JSON.stringify([step.steps, step.loop ?? 'both', step.aim ?? 'next']))
    else if (step.do === 'skip') say(`skip ${step.of ?? 'st'}`, step.places)
    else say(JSON.stringify(step))
  }
  return found
}
const anySteps = fc.array(
  fc.oneof(
    leaf,
    fc.tuple(fc.integer({ min: 2, max: 24 }), fc.array(leaf, { minLength: 2, maxLength: 4 })).map(([n, steps]) => repeat(n, ...steps)),
  ),
  { minLength: 2, maxLength: 5 },
)

describe('reading what the words write (law 2)', () => {
  it.each(['us', 'uk'] as const)('gives the same steps back, in %s terms', (terms) => {
    fc.assert(
      fc.property(anySteps, (steps) => {
        // Neighbours that do the same are said as one: what comes back says the same, and reads back as itself.
        const said = words(steps, terms)
        const again = read(said, terms)
        expect(words(again as Step[], terms)).toBe(said)
        expect(plainly(again as Step[])).toEqual(plainly(steps))
      }),
      { ...SEED, numRuns: 200 },
    )
  })

  it.each(['us', 'uk'] as const)('reads every texture, in %s terms', (terms) => {
    const more = {
      colour: 'main', size: { pin: { rounds: 1 } }, stitch: 'dc', front: 1, back: 2, seamStitch: true, chains: 2, finish: true,
      repeat: REPEATS[0].id,
    }
    for (const { kind: band, texture } of wallKinds().filter(kind => kind.texture)) {
      const { straight, turned } = texture!({ ...more, kind: band } as unknown as WallSpec, REPEATS)!
      for (const round of [straight, turned ?? straight].flatMap(({ setUp, cycle }) => [...setUp, ...cycle])) {
        const again = readSteps(words(round.repeat, terms), terms)
        expect(again.ok && words(again.steps, terms), band).toBe(words(round.repeat, terms))
      }
    }
  })
})

describe('reading what makers type', () => {
  it('takes skip for sk, and a repeat at the end', () => {
    expect(read('skip 2, SC in next 3, twice')).toEqual([repeat(2, skip(2), each('sc', 3))])
    expect(read('sk next ch-sp')).toEqual([{ ...skip(1), of: 'space' }])
    expect(words(read('sk next ch-sp, FPdc2tog, 2 sc in next 3') as Step[], 'us')).toBe(
      'sk next ch-sp, FPdc2tog, 2 sc in each of next 3 sts',
    )
    expect(read('2 sc in next 3')).toEqual([repeat(3, inOne('sc', 2))])
    expect(read('*sc in next, ch 1; rep from * 3 more times')).toEqual([repeat(4, each('sc', 1), chain(1))])
    expect(read('[dc in next, ch 1, sk next st] 4 times.')).toEqual([repeat(4, each('dc', 1), chain(1), skip(1))])
  })

  it('knows UK from US', () => {
    expect(read('miss next st, 2 htr in next', 'uk')).toEqual([skip(1), inOne('hdc', 2)])
    expect(read('sc in next', 'uk')).toBe('0+2 sc is a US abbreviation; write dc')
    expect(read('2 htr in next')).toBe('2+3 htr is a UK abbreviation; write hdc')
  })

  it.each([
    ['dc in nex', '6+3 "nex" is not a place'], ['sc in next, [dc in next, ch 1', '12+1 this bracket is never closed'],
    ['sc in next), ch 1', '10+1 this bracket closes nothing'], ['sc in next,, ch 1', '11+1 something is missing here'],
    ['[sc in next, ch 1] often', '19+5 say how often'], ['(sc in next) in next', '1+10 within round brackets'],
    ['knit 3', '0+6 "knit 3" cannot be read'], ['foo in next', '0+3 foo is not a stitch known here'],
    ['sc in next 100000', '0+17 numbers go from 1 to 500'], ['', '0+1 something is missing'],
    ['sc in next, rep from * once more', '12+20 there is no *'], ['*sc in next, ch 1', '13+4 say how often'],
    ['*sc in next; rep from * around', '13+17 write a number of times'], ['(sc, ch 1] in next', '9+1 this bracket closes nothing'],
  ])('points at what is wrong in "%s"', (text, says) => expect(read(text)).toContain(says))
})
