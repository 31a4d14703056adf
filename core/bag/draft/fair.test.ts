import { describe, expect, it } from 'vitest'
import { Chance } from '../../../tests/siege/seededDraws'
import type { Design } from '../design/design'
import { stacked } from '../design/partIds'
import { newDesign } from '../design/starter'
import type { WallSpec } from '../../parts/wall/wall'
import { draft } from './draft'

/*
 * Sizes from fair swatches, held against bags whose stitches are known: a made-up maker's stitches are of some true size, each a little
 * off; their swatches are counted to half a stitch and half a round, as people do. What the draft tells must hold the bag's true sizes
 * within the uncertainty it tells in 95 of a hundred cases, and come within 5 %.
 */

/** Every stitch is so much off the true size, as a standard deviation: uneven hands (invented for the simulation). */
const STITCH_NOISE = 0.06
const CASES = 400

/** A standard normal number: twelve even ones added up (Irwin-Hall; any textbook of simulation). */
function normal(chance: Chance): number {
  return Array.from({ length: 12 }, () => chance.share()).reduce((a, b) => a + b, 0) - 6
}

const between = (chance: Chance, least: number, most: number) => least + (most - least) * chance.share()
const halves = (count: number) => Math.max(0.5, Math.round(2 * count) / 2)
/** So many stitches side by side really are so long: their errors even out. */
const really = (chance: Chance, count: number, cm: number) => count * cm * (1 + (STITCH_NOISE / Math.sqrt(count)) * normal(chance))

interface Told {
  readonly told: { readonly cm: number, readonly plusMinusCm: number }
  readonly true: number
}

function oneBag(chance: Chance): { readonly width: Told, readonly height: Told } {
  const w = between(chance, 0.35, 0.7)
  const tall = w * between(chance, 0.9, 1.1)
  // A texture is wider and taller than its stitches say, by as much as the craft knows (a third and more).
  const [across, rise] = [3 * w * between(chance, 0.92, 1.12), between(chance, 1.2, 1.6) * tall * 1.2667]
  const gauge: Design['gauge'] = {
    hookMm: 4, strands: 1,
    measured: { sc: { stitches: halves(really(chance, 10 / w, w) / w), rounds: halves(really(chance, 10 / tall, tall) / tall),
      overCm: 10 } },
  }
  const swatch = {
    across: 8, countedIn: 'repeats' as const, overCm: really(chance, 8, across), rounds: 10, tallCm: really(chance, 10, rise),
  }
  const [repeats, plainRounds, sprigRounds] = [12, 14, 10].map(least => Math.round(between(chance, least, 2 * least))) as [number, number,
    number]
  const wall: WallSpec[] = [
    { kind: 'solid', stitch: 'sc', size: { pin: { rounds: plainRounds } }, colour: 'main' },
    { kind: 'sprigs', seamStitch: false, size: { pin: { rounds: sprigRounds } }, colour: 'main', swatch },
  ]
  const { sizes, parts } = draft({
    ...newDesign('Fair'), gauge, turnUp: 'plain', wall: stacked(wall),
    base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 3 * repeats } }, colour: 'main' },
  })
  const base = parts[0]!.size.height
  return {
    width: { told: sizes.flatWidth, true: really(chance, repeats, across) / 2 },
    height: {
      told: { cm: sizes.height.cm - base.cm, plusMinusCm: sizes.height.plusMinusCm - base.plusMinusCm },
      true: really(chance, plainRounds, tall) + really(chance, sprigRounds, rise),
    },
  }
}

/** Front and back of so many stitches, sides of so many, in rows, on a floor that somebody bought, and one round about them. */
function onePanelBag(chance: Chance): { readonly width: Told, readonly height: Told } {
  const w = between(chance, 0.35, 0.7)
  const tall = w * between(chance, 0.9, 1.1)
  const gauge: Design['gauge'] = {
    hookMm: 4, strands: 1,
    measured: {
      sc: {
        stitches: halves(really(chance, 10 / w, w) / w), overCm: 10,
        rounds: halves(really(chance, 10 / tall, tall) / tall),
      },
    },
  }
  const [front, side, rows] = [30, 8, 24].map(least => Math.round(between(chance, least, 2 * least))) as [number, number, number]
  const holes = front + side
  const wall = [{
    kind: 'panels', sides: { pin: { stitches: side } }, seam: 'whip', colour: 'main',
    bands: [{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: rows } }, colour: 'main' }],
  }] as unknown as WallSpec[]
  const { sizes, parts } = draft({
    ...newDesign('Fair panels'), gauge, turnUp: 'plain', wall: stacked(wall),
    base: { form: 'bought', stitch: 'sc', shape: 'oblong', lengthCm: 20, widthCm: 8, holes, perHole: 2, doubledHoles: 0, colour: 'main' },
  })
  const base = parts[0]!.size.height
  return {
    width: { told: sizes.flatWidth, true: really(chance, front + side, w) },
    height: {
      told: { cm: sizes.height.cm - base.cm, plusMinusCm: sizes.height.plusMinusCm - base.plusMinusCm },
      true: really(chance, rows + 1, tall),
    },
  }
}

describe('sizes from fair swatches', () => {
  const chance = new Chance(20261127)
  const bags = Array.from({ length: CASES }, () => oneBag(chance))
  for (const side of ['width', 'height'] as const) {
    it(`hold the true ${side} within the uncertainty told in 95 % of ${CASES} bags, and come within 5 % of it`, () => {
      const off = bags.map(bag => Math.abs(bag[side].told.cm - bag[side].true))
      const held = off.filter((cm, i) => cm <= bags[i]![side].told.plusMinusCm).length
      const near = off.filter((cm, i) => cm <= 0.05 * bags[i]![side].true).length
      expect(held / CASES).toBeGreaterThanOrEqual(0.95)
      expect(near / CASES).toBeGreaterThanOrEqual(0.95)
    })
  }

  it(`of panels on a floor are within the uncertainty told in 95 % of ${CASES} bags, and come within 5 %`, () => {
    const panels = Array.from({ length: CASES }, () => onePanelBag(chance))
    for (const side of ['width', 'height'] as const) {
      const off = panels.map(bag => Math.abs(bag[side].told.cm - bag[side].true))
      expect(off.filter((cm, i) => cm <= panels[i]![side].told.plusMinusCm).length / CASES).toBeGreaterThanOrEqual(0.95)
      expect(off.filter((cm, i) => cm <= 0.05 * panels[i]![side].true).length / CASES).toBeGreaterThanOrEqual(0.95)
    }
  })

  it('are missed by much without a swatch of the texture: the estimate says so, and is wide enough', () => {
    const unmeasured = draft({
      ...newDesign('Guess'), turnUp: 'plain',
      wall: stacked([{ kind: 'sprigs', seamStitch: false, size: { pin: { rounds: 10 } }, colour: 'main' }]),
    })
    expect(unmeasured.findings.map(({ code }) => code).some(code => code === 'texture-estimated' || code === 'gauge-assumed')).toBe(true)
  })
})
