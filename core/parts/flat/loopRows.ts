import { HEIGHT } from '../band/textured'
import { between, choice, count, yarn } from '../field/questions'
import type { Gauge } from '../../things/gauge/gauge'
import { times } from '../../things/measure/length'
import { riseOfLoop } from '../mesh/diamond'
import { at, chain, each, inOne, skip, type StitchStep } from '../../things/round/step'
import { STRIPES } from '../texture/stripes'
import type { Texture } from '../texture/texture'
import { roundsForHeight, workTexture } from '../texture/workTexture'
import type { FlatBand, FlatKind } from './flatKind'

const fields = {
  size: HEIGHT,
  chains: count('Chains in a loop', between(2, 60), { begins: 5, beside: true, usually: between(3, 9) }),
  skip: count('Stitches passed', between(1, 60), { begins: 3, beside: true, usually: between(2, 5) }),
  finish: choice(
    'On top',
    [
      { value: false, name: 'loops to the end' },
      { value: true, name: 'a solid row', does: 'So many {sc} in each loop and one in each {sc}: as many stitches as at first.' },
    ],
    { begins: true },
  ),
  colour: yarn(), stripes: STRIPES,
} as const

/** Loops to and fro, as a document holds them. */
interface LoopRows extends FlatBand {
  readonly chains: number
  readonly skip: number
  readonly finish: boolean
}

const intoLoop: StitchStep = at('loop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })
const single = each('sc', 1)

/**
 * Loops of chains to and fro. Every second row begins and ends with half a loop, a double and half of the chains, so that both ends
 * stay straight; the others have whole loops alone (craft 8).
 */
function loopsTexture({ chains, skip: passed, finish }: LoopRows): Texture {
  const loop = chain(chains)
  const half = chain(Math.max(1, Math.floor(chains / 2)))
  const full = [inOne('sc', passed)].map(group => at('loop', group))
  return {
    asks: { multiple: passed + 1, plus: passed + 2 }, main: 'sc', asWritten: true,
    ...(finish ? { gives: passed + 1, givesPlus: passed + 2 } : { gives: 2, givesPlus: 3 }),
    straight: {
      setUp: [{ first: [single, loop, skip(passed)], repeat: [single, loop, skip(passed)], last: [single] }],
      cycle: [
        { first: [each('dc', 1), half, intoLoop], repeat: [loop, intoLoop], last: [half, each('dc', 1)] },
        { first: [single, skip(1)], repeat: [loop, intoLoop], last: [loop, skip(2), single] },
      ],
    },
    ...(finish ? { finish: { first: [single, ...full, single], repeat: [...full, single] } } : {}),
  }
}

/** How much a row of loops rises, held as wide as the stitches that it stands on. */
function riseCm({ chains, skip: passed }: LoopRows, { ch, sc }: Gauge): number {
  const loopCm = chains * ch.width.cm
  return Math.max(ch.width.cm / 2, riseOfLoop(loopCm, Math.min(loopCm * 0.98, (passed + 1) * sc.width.cm)))
}

/** Whole loops end it: an odd number of rows. */
function oddRows(rows: number): number {
  return rows % 2 === 1 ? rows : rows + 1
}

/** Loop mesh worked flat (craft 8). */
export const loopRows: FlatKind = {
  kind: 'loop-rows', name: 'loops', does: 'Chains from stitch to stitch, then from loop to loop; always an odd number of rows of them.',
  fields, begins: () => ({}),
  asks: band => loopsTexture(band as LoopRows).asks,
  work: (band, on, setting) => {
    const spec = band as LoopRows
    const { gauge } = setting
    const rise = riseCm(spec, gauge)
    const finishCm = spec.finish ? gauge.sc.height.cm : 0
    const wanted = 'pin' in spec.size ? spec.size.pin.rounds : roundsForHeight(spec.size.want.heightCm - finishCm, () => rise)
    const rows = oddRows(wanted)
    const worked = workTexture(loopsTexture(spec), { ...spec, size: { pin: { rounds: rows } } }, on, setting)
    const rises = worked.rounds.map((_, i) => (i < rows ? rise : finishCm))
    const tall = rises.reduce((sum, cm) => sum + cm, 0)
    return {
      ...worked, rises,
      size: {
        height: { cm: tall, plusMinusCm: (tall * gauge.ch.width.plusMinusCm) / gauge.ch.width.cm },
        circumference: times(gauge.sc.width, on.count),
      },
    }
  },
}
