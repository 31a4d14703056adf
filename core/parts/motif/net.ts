import { between, choice, count, optional, yarn } from '../field/questions'
import type { Gauge } from '../../things/gauge/gauge'
import { CLOSING_STITCHES, closingOf } from '../mesh/closing'
import { riseOfLoop } from '../mesh/diamond'
import type { Finding } from '../part/finding'
import { MOST_STITCHES, type Setting, workUp } from '../part/part'
import { type Edge, placesOf } from '../../things/round/edge'
import type { Round } from '../../things/round/round'
import { at, chain, each, skip, type Step, type StitchStep } from '../../things/round/step'
import { gaps } from '../../things/round/spread'
import { inTurns } from '../../things/round/turns'
import { tape } from '../../things/stitch/translate'
import type { MotifBand, MotifKind, Outward, Within } from './motifKind'

const fields = {
  rounds: count('Rounds', between(1, 60), { begins: 3, beside: true, usually: between(1, 5) }),
  chains: count('Chains', between(2, 60), {
    begins: 4, beside: true, usually: between(3, 7), says: 'Chains of a loop in the first round.',
  }),
  skip: count('Skipped', between(0, 12), {
    begins: 1, beside: true, usually: between(0, 2), says: 'Stitches skipped under each loop, where they stand on stitches.',
  }),
  longer: count('Longer by', between(0, 6), {
    begins: 0, beside: true, suffix: 'chs', usually: between(0, 1), says: 'Chains more in each further round.',
  }),
  more: count('More by', between(0, 200), {
    begins: 0, beside: true, suffix: 'loops', usually: between(0, 8),
    says: 'So many loops have two in them, evenly spread, in each round but the first.',
  }),
  closes: optional(
    choice(
      'The last loop is closed with',
      [
        { value: 'half', name: 'half chains, half a stitch', does: 'The next round starts at the loop\'s top.' },
        ...CLOSING_STITCHES.map(kind => ({ value: kind, name: `{${kind}}`, does: 'As far as the loop is long enough for it.' })),
      ],
    ),
  ),
  colour: yarn(),
} as const

/** Rounds of loops of a motif, which grow in length, in number, or both. */
interface Net extends MotifBand {
  readonly rounds: number
  readonly chains: number
  readonly skip: number
  readonly longer: number
  readonly more: number
  readonly closes?: 'half' | (typeof CLOSING_STITCHES)[number]
}

const intoLoop: StitchStep = at('loop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })
const again: StitchStep = { do: 'stitch', kind: 'sc', times: 1, aim: 'same' }
const intoThisLoop: StitchStep = at('thisLoop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })

/** Loops on stitches: so many skipped under each, and where they do not come out one more here and there. */
function onStitches(edge: Edge, { skip: passed }: Net, loop: number): Step[] {
  const loops = Math.max(2, Math.floor(edge.count / (passed + 1)))
  const wide = gaps(loops, edge.count - loops)
  const pass = (i: number): Step[] => (wide[i]! > 0 ? [skip(wide[i]!)] : [])
  const turns = Array.from({ length: loops - 1 }, (_, i) => [chain(loop), ...pass(i), each('sc', 1)])
  return [each('sc', 1), ...inTurns(turns), ...pass(loops - 1)]
}

/** Loops on loops: one in each, and two in so many of them, evenly spread. The last loop is left to its closing. */
function onLoops(loops: number, more: number, loop: number): Step[] {
  const twice = gaps(loops, Math.min(more, loops))
  const second = (i: number): Step[] => (twice[i]! > 0 ? [chain(loop), again] : [])
  const turns = Array.from({ length: loops - 1 }, (_, i) => [chain(loop), intoLoop, ...second(i + 1)])
  return [intoThisLoop, ...second(0), ...inTurns(turns)]
}

/** How far out a round of loops lies, spread as wide as the circle it makes: found by going round it a few times. */
function riseAt(radiusCm: number, loops: number, loopCm: number): { readonly riseCm: number, readonly tight: boolean } {
  let rise = loopCm / 3
  let spreadCm = 0
  for (let i = 0; i < 12; i++) {
    spreadCm = (2 * Math.PI * (radiusCm + rise)) / loops
    rise = (rise + riseOfLoop(loopCm, Math.min(spreadCm, 0.98 * loopCm))) / 2
  }
  return { riseCm: rise, tight: spreadCm > loopCm }
}

/** Chains of a loop of the `i`-th round. */
function chainsIn({ chains, longer }: Net, i: number): number {
  return chains + longer * i
}

/** Whether the hook stands in a loop: the round before was one of loops, closed at its top. */
function standsInLoop(edge: Edge, { last }: Within): boolean {
  return last?.round.closing !== undefined && placesOf(edge, 'space') > 0
}

function loopRound(spec: Net, i: number, on: Edge, inLoops: boolean): Round {
  const loop = chainsIn(spec, i)
  const steps = inLoops ? onLoops(placesOf(on, 'space'), i === 0 ? 0 : spec.more, loop) : onStitches(on, spec, loop)
  return {
    steps, colour: spec.colour, facing: 'right', inLoops: true, begin: { chains: 1, counts: false, turn: false }, join: 'spiral',
    closing: closingOf(loop, spec.closes === 'half' ? undefined : spec.closes),
  }
}

function outward(worked: Outward['rounds'], spec: Net, radiusCm: number, { ch }: Gauge): Pick<Outward, 'rises' | 'findings'> {
  const rises: number[] = []
  const findings: Finding[] = []
  let at = radiusCm
  for (const [i, { edge }] of worked.entries()) {
    const loopCm = chainsIn(spec, i) * ch.width.cm
    const { riseCm, tight } = riseAt(at, placesOf(edge, 'space'), loopCm)
    if (tight && findings.length === 0)
      findings.push({
        code: 'loops-tight', weight: 'watch',
        what: `${placesOf(edge, 'space')} loops of ${tape(loopCm)} do not reach round so far out: they draw the motif into a dish. Take `
          + 'longer loops, or more of them.',
      })
    rises.push(riseCm)
    at += riseCm
  }
  return { rises, findings }
}

/** Rounds of loops (craft 8), from a motif's stitches outward. */
export const net: MotifKind = {
  kind: 'net', name: 'loops', does: 'Loops of chains that get longer, or more in number, as they go outward.', fields,
  work: (band: MotifBand, within: Within, setting: Setting): Outward => {
    const spec = band as Net
    const { edge, radiusCm } = within
    if (placesOf(edge, 'ring') > 0)
      return { rounds: [], rises: [], findings: [{
        code: 'motif-begins', weight: 'stop', what: 'Loops need stitches to stand on: begin the motif with plain rounds in its ring.',
      }] }
    if (edge.count + spec.more * spec.rounds > MOST_STITCHES / 100)
      return { rounds: [], rises: [], findings: [{
        code: 'motif-too-big', weight: 'stop', what: 'This motif would have more loops than anybody could work. Take fewer rounds of it.',
      }] }
    const inLoops = standsInLoop(edge, within)
    const { rounds, stop } = workUp(edge, spec.rounds, setting, (i, on) => loopRound(spec, i, on, i > 0 || inLoops))
    return { rounds, ...outward(rounds, spec, radiusCm, setting.gauge), ...(stop ? { findings: [stop] } : {}) }
  },
}
