import { between, choice, count, yarn } from '../field/questions'
import { type Setting, workUp } from '../part/part'
import { placesOf } from '../../things/round/edge'
import { at, chain, each, type GroupStep, repeat, skip, type Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import type { MotifBand, MotifKind, Outward, Within } from './motifKind'

const fields = {
  stitch: choice('Fans of', [{ value: 'hdc', name: '{hdc}' }, { value: 'dc', name: '{dc}' }, { value: 'tr', name: '{tr}' }], {
    begins: 'dc',
  }),
  stitches: count('Stitches of a fan', between(2, 20), { begins: 5, usually: between(3, 7) }),
  open: choice(
    'They are',
    [
      { value: false, name: 'solid' },
      { value: true, name: 'open', does: 'A chain between each two stitches of a fan.' },
    ],
    { begins: false },
  ),
  between: choice(
    'Between the fans',
    [
      { value: true, name: 'one {sc} in each {sc}' },
      { value: false, name: 'nothing', does: 'The {sc} between two loops are passed.' },
    ],
    { begins: true },
  ),
  colour: yarn(),
} as const

/** A round of fans of a motif. */
interface Fans extends MotifBand {
  readonly stitch: 'hdc' | 'dc' | 'tr'
  readonly stitches: number
  readonly open: boolean
  readonly between: boolean
}

function fanOf({ stitch, stitches, open }: Fans): GroupStep {
  if (!open) return { do: 'group', steps: [each(stitch, stitches)] }
  const steps = Array.from({ length: 2 * stitches - 1 }, (_, i) => (i % 2 === 0 ? each(stitch, 1) : chain(1)))
  return { do: 'group', steps }
}

function steps(spec: Fans, loops: number): Step[] {
  const fan = fanOf(spec)
  const between: Step = spec.between ? each('sc', 1) : skip(1)
  const others = loops > 1 ? [repeat(loops - 1, between, at('loop', fan))] : []
  return [at('thisLoop', fan), ...others, between]
}

/** A round of fans (craft 8), one in each loop of the net within. */
export const fans: MotifKind = {
  kind: 'fans', name: 'fans', does: 'A fan in each loop of the round within, solid or open.', fields,
  work: (band: MotifBand, { edge, last }: Within, setting: Setting): Outward => {
    const spec = band as Fans
    const loops = placesOf(edge, 'space')
    if (!last?.round.closing || loops === 0)
      return { rounds: [], rises: [], findings: [{
        code: 'fans-on-loops', weight: 'stop', what: 'Fans go into loops: set a round of loops right before them.',
      }] }
    const joined = { ...setting.rounds, style: 'joined', startingChainCounts: false } as const
    const { rounds, stop } = workUp(edge, 1, setting, () =>
      inStyle({ turns: 0, rounds: joined }, 0, spec.stitch, spec.colour, steps(spec, loops)))
    return { rounds, rises: rounds.map(() => setting.gauge[spec.stitch].height.cm), findings: stop ? [stop] : [] }
  },
}
