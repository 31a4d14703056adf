import { describe, expect, it } from 'vitest'
import { withChanges } from '../../bag/design/edit'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { skillFromBags } from '../../making/log/skillFromBags'
import { newYarn } from './starter'
import { likest, nearestHookMm, substitute, thicker } from './substitute'
import type { ShelfYarn } from './yarn'

const hands = skillFromBags([])
const yarn = (id: string, metresPer100g: number, more: Partial<ShelfYarn> = {}): ShelfYarn =>
  ({ ...newYarn(id), name: `${id} yarn`, metresPer100g, balls: [{ grams: 100 }], ...more })

/* A tube 20 cm wide lying flat of sc of half a centimetre: 80 stitches; 20 cm tall: 40 rounds. */
const bag = draft({
  ...newDesign('Tube'), rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
  yarns: [{ id: 'main', name: 'cone', colour: '#dccba6', shelf: 'cone' }],
  gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } },
  base: { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 20 } }, colour: 'main' },
  wall: stacked([
    { kind: 'solid', stitch: 'sc', size: { want: { heightCm: 20 } }, colour: 'main' },
    { kind: 'moss', size: { pin: { rounds: 4 } }, colour: 'main' },
  ]),
})
const cone = yarn('cone', 256)
const of = (next: ShelfYarn) => substitute({ drafted: bag, yarn: 'main', now: cone, hands }, next)

describe('another yarn, by hand', () => {
  // The root of 256 over 100 is 1.6: stitches of 0.8 cm. The root of 256 over 225 is 1.0667.
  it('is thicker by the root of what a metre weighs', () => {
    expect(thicker(cone, { metresPer100g: 100 })).toBeCloseTo(1.6, 9)
    expect(of(yarn('moss', 225)).thicker).toBeCloseTo(16 / 15, 9)
    // 4 mm and a fifteenth are 4.27: the 4.25 mm hook of the list.
    expect([nearestHookMm(4.27), nearestHookMm(6.4), nearestHookMm(99)]).toEqual([4.25, 6.5, 30])
  })

  it('keeps the size and takes other counts, in a guessed gauge that says so', () => {
    const { after, before, changes, says, swatch } = of(yarn('bulky', 100, { fibre: 'wool' }))
    const then = draft(withChanges(bag.design, changes))
    // 20 stitches over 10 cm become 12.5: 20 cm are 25 stitches each side.
    expect(then.design.gauge).toMatchObject({ hookMm: 6.5, assumed: true, measured: { sc: { stitches: 12.5, rounds: 12.5 } } })
    expect(then.parts[0]!.edge.count).toBe(50)
    expect(then.design.yarns[0]).toMatchObject({ name: 'bulky yarn', shelf: 'bulky' })
    expect(Math.abs(after.wideCm - before.wideCm)).toBeLessThan(0.5)
    expect(says[0]).toContain('60 % thicker: with the same counts and a hook to match the bag would be 32 cm wide')
    expect(says.join(' ')).toContain('wool: light and springy')
    expect(says.join(' ')).toContain('this is a guess')
    expect(swatch[0]).toContain('20 stitches of {sc} by 20 rounds on the 6.5 mm')
    expect(swatch[1]).toContain('moss')
  })

  // As thick as before: only what a metre weighs is another.
  it('leaves the counts of one as thick, and says what it takes', () => {
    const { changes, says, lasts, after } = of(yarn('pear', 250, { balls: [{ grams: 400 }] }))
    expect(changes.map(({ path }) => path[0])).toEqual(['yarns', 'yarns', 'yarns'])
    expect(says[0]).toContain('About as thick')
    expect(says[1]).toContain(`about {${Math.round(after.wants.grams)} g}, as now`)
    expect(lasts).toBeGreaterThan(0.9)
  })

  it('is drafted by a swatch of its own where there is one', () => {
    const gauge = { hookMm: 5, strands: 1, measured: { sc: { stitches: 15, rounds: 16, overCm: 10 } } }
    const found = substitute({ drafted: bag, yarn: 'main', now: cone, hands, swatch: { gauge, name: 'Pear, firm' } }, yarn('pear', 150))
    expect(withChanges(bag.design, found.changes).gauge).toBe(gauge)
    expect(found.swatch).toEqual(['You have a swatch of it, Pear, firm: the bag is drafted by that.'])
  })

  it('leaves the gauge where other yarns stay beside it', () => {
    const two = draft({
      ...bag.design, yarns: [...bag.design.yarns, { id: 'moss', name: 'moss green cotton', colour: '#71834f' }],
      wall: [{ ...bag.design.wall[0]!, colour: 'moss' } as never],
    })
    const found = substitute({ drafted: two, yarn: 'main', now: cone, hands }, yarn('bulky', 100))
    expect(found.changes.some(({ path }) => path[0] === 'gauge')).toBe(false)
    expect(found.says.join(' ')).toContain('worked beside moss green cotton')
  })

  it('puts the likest first', () => {
    const shelf = [yarn('lace', 800), cone, yarn('near', 250), yarn('bulky', 100)]
    expect(likest(256, shelf, 'cone').map(({ id }) => id)).toEqual(['near', 'bulky', 'lace'])
  })
})
