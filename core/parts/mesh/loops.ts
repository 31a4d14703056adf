import type { Gauge } from '../../things/gauge/gauge'
import { kind } from '../kind/kind'
import { type Length, times } from '../../things/measure/length'
import type { Fix } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import type { Edge } from '../../things/round/edge'
import type { Round } from '../../things/round/round'
import { at, chain, each, inOne, repeat, skip, type Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { closingOf } from './closing'
import { chainEnds, type Plan, planFor, wantedPlan } from './loopsPlan'
import { LOOPS_FIELDS, loopsAsks, loopsGive, loopsOn, type LoopsSpec, type Motif } from './loopsSpec'
import { boxOpening, SAFE_SHARE } from './openings'
import { adviceFor, isFanRound, netFindings, notesFor, refusedOn } from './netNotes'

export type { LoopsSpec } from './loopsSpec'

const intoLoop: Step = at('loop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })
const intoThisLoop: Step = at('thisLoop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })

function fanOf({ stitches, rows }: Motif): Step {
  return at('loop', { do: 'group', aim: 'space', rows, steps: [each('dc', stitches)] })
}

/** The steps of a loop round, the last loop left to its closing if it has one. */
function loopSteps(spec: LoopsSpec, i: number, chains: number, loops: number, fans: boolean): Step[] {
  const closed = spec.ends === 'closed'
  if (i === 0) {
    const pass = spec.skip > 0 ? [skip(spec.skip)] : []
    return closed
      ? [each('sc', 1), ...(loops > 1 ? [repeat(loops - 1, chain(chains), ...pass, each('sc', 1))] : []), ...pass]
      : [repeat(loops, chain(chains), ...pass, each('sc', 1))]
  }
  if (!fans)
    return closed
      ? [intoThisLoop, ...(loops > 1 ? [repeat(loops - 1, chain(chains), intoLoop)] : [])]
      : [repeat(loops, chain(chains), intoLoop)]
  const plainLoops = spec.motif!.between
  const fan = [chain(chains), fanOf(spec.motif!)]
  const plain = plainLoops > 0 ? [repeat(plainLoops, chain(chains), intoLoop)] : []
  const groups = loops / (plainLoops + 1)
  if (!closed) return [repeat(groups, ...plain, ...fan)]
  const firstPlain = plainLoops > 1 ? [repeat(plainLoops - 1, chain(chains), intoLoop)] : []
  return [intoThisLoop, ...firstPlain, ...fan, ...(groups > 1 ? [repeat(groups - 1, ...plain, ...fan)] : [])]
}

function loopRound(spec: LoopsSpec, i: number, chains: number, loops: number, fans: boolean): Round {
  const closed = spec.ends === 'closed'
  const { closes, closesLater } = spec
  const closedBy = closesLater && i + 1 >= closesLater.from ? closesLater.with : closes
  const stitch = closedBy === 'half' ? undefined : closedBy
  return {
    steps: loopSteps(spec, i, chains, loops, fans), colour: spec.colour, facing: 'right', inLoops: true,
    begin: { chains: closed ? 1 : 0, counts: false, turn: false }, join: 'spiral', ...(closed
      ? { closing: closingOf(chains,
          stitch) }
      : {}),
  }
}

function finishRound({ finish, colour }: LoopsSpec, setting: Setting, loops: number, closed: boolean): Round {
  const { inLoop, inStitch } = finish!
  const loop = at('loop', inOne('sc', inLoop))
  const stitch = inStitch > 0 ? (inStitch === 1 ? each('sc', 1) : inOne('sc', inStitch)) : skip(1)
  return inStyle(
    { turns: 0, rounds: { style: setting.rounds.style === 'spiral' || !closed ? 'spiral' : 'joined', startingChainCounts: false } },
    0,
    'sc',
    colour,
    closed ? halved(inLoop, loop, stitch, loops, finish!.closedLoop === 'whole') : [repeat(loops, loop, stitch)],
  )
}

/** After a closed round the hook stands in the middle of a loop: half of it is worked first, the other half at the end. */
function halved(inLoop: number, loop: Step, stitch: Step, loops: number, atOnce: boolean): Step[] {
  const ahead = atOnce ? inLoop : Math.ceil(inLoop / 2)
  const left = inLoop - ahead
  return [
    at(left > 0 ? 'thisHalf' : 'thisLoop', inOne('sc', ahead)), stitch, ...(loops > 1 ? [repeat(loops - 1, loop, stitch)] : []),
    ...(left > 0 ? [at('otherHalf', { ...inOne('sc', left), aim: 'start' } as const)] : []),
  ]
}

/** Uncertainty of a net's height: a loop's length is as sure as the chain's width, and a row rises by `l/4y` of it. */
function heightOf({ chains, rows }: Plan, chainWidth: Length): Length {
  const share = chainWidth.plusMinusCm / chainWidth.cm
  const plusMinusCm = rows.reduce((sum, { riseCm }, i) => {
    const loop = chains[i]! * chainWidth.cm
    return sum + Math.min(loop / 2, riseCm > 0 ? (loop * loop * share) / (4 * riseCm) : loop / 2)
  }, 0)
  return { cm: rows.reduce((sum, { riseCm }) => sum + riseCm, 0), plusMinusCm }
}

/** Nets look like nothing for a while, and fans curl: makers say so, because the worker worries (craft 13). */
function looksOf({ motif }: LoopsSpec): string {
  return (
    'It is meant to look like this: a net looks like nothing until its third '
    + `round.${motif ? ' Fans curl until the next round joins them.' : ''}`
  )
}

/** Works a net of loops onto an edge, and its solid round if it has one. */
function workLoops(spec: LoopsSpec, edge: Edge, setting: Setting): PartResult {
  const { gauge } = setting
  const chainWidth = gauge.ch.width
  const nothing = { height: times(chainWidth, 0), circumference: times(gauge.sc.width, edge.count) }
  const loops = loopsOn(spec, edge.count)
  const refused = refusedOn(spec, edge.count)
  if (refused) return stopped(edge, nothing, refused)
  const belowCm = setting.belowCm ?? edge.count * gauge.sc.width.cm
  const ends = chainEnds(spec, loops, chainWidth.cm)
  const planOf = (rounds: number) => planFor(spec, rounds, loops, setting, belowCm, ends)
  const plan
    = 'pin' in spec.size ? planOf(Math.min(spec.size.pin.rounds, MOST_ROUNDS + 1)) : wantedPlan(spec, spec.size.want.heightCm, planOf)
  const rounds = plan.chains.length
  const height = heightOf(plan, chainWidth)
  if (rounds > MOST_ROUNDS || rounds * loops * 2 > MOST_STITCHES)
    return stopped(
      edge,
      { ...nothing, height },
      {
        code: 'band-too-tall', weight: 'stop',
        what: `This net would take ${rounds.toLocaleString('en')} rounds of ${loops} loops. Ask for a lower one.`,
      },
    )
  const total = rounds + (spec.finish ? 1 : 0)
  const worked = workUp(edge, total, setting, i =>
    i < rounds
      ? loopRound(spec, i, plan.chains[i]!, loops, isFanRound(spec, i, rounds))
      : finishRound(spec, setting, loops, spec.ends === 'closed'),
  )
  const rim = spec.finish ? loopsGive(spec, edge.count) * gauge.sc.width.cm : plan.rows.at(-1)!.aroundCm
  const finishCm = spec.finish ? gauge.sc.height.cm : 0
  return {
    rounds: worked.rounds, edge: worked.edge,
    size: {
      height: { cm: height.cm + finishCm, plusMinusCm: height.plusMinusCm + (spec.finish ? gauge.sc.height.plusMinusCm : 0) },
      circumference: { cm: rim, plusMinusCm: rim * (chainWidth.plusMinusCm / chainWidth.cm) },
    },
    rises: [...plan.rows.map(({ riseCm }) => riseCm), ...(spec.finish ? [finishCm] : [])],
    arounds: [...plan.rows.map(({ aroundCm }) => aroundCm), ...(spec.finish ? [rim] : [])], notes: notesFor(spec, plan, loops),
    advice: adviceFor(spec, plan, gauge.ch.known), looks: looksOf(spec), net: { loops, loopsCm: plan.chains.map(n => n * chainWidth.cm) },
    findings: worked.stop ? [worked.stop] : netFindings(spec, plan, loops, chainWidth.cm, belowCm),
  }
}

/** Loops of fewer chains, or boxes in their place. */
function tighter(spec: LoopsSpec, ballCm: number, gauge: Gauge): Fix[] {
  const chains = Math.floor((ballCm * SAFE_SHARE * Math.PI) / 2 / gauge.ch.width.cm)
  const last = spec.last && { pin: { chains: Math.min(chains, 'pin' in spec.last ? spec.last.pin.chains : chains) } }
  const shorter: Fix = {
    label: `Loops of at most ${chains} chains`,
    changes: [
      { path: ['hold'], value: { pin: { chains } } }, { path: ['first'], value: Math.min(spec.first, chains) },
      ...(last ? [{ path: ['last'], value: last }] : []),
    ],
  }
  const boxes: Fix = {
    label: 'Boxes instead of loops',
    changes: [{ path: [], value: { kind: 'boxes', chains: 1, finish: true, size: spec.size, colour: spec.colour } }],
  }
  return [...(chains >= 2 ? [shorter] : []), ...(boxOpening(1, gauge).ballCm < ballCm * SAFE_SHARE ? [boxes] : [])]
}

/** A net of loops (craft 8). */
export const loops = kind({
  kind: 'loops', group: 'Mesh', name: 'net',
  does: 'Loops of chains, each caught in the middle of one below: it hangs in diamonds and gives.', fields: LOOPS_FIELDS, shapes: true,
  sample: {
    on: 'itself', bare: true,
    spec: ({ finish: _, ...spec }) => ({ ...spec, skip: 2, hold: { pin: { chains: 4 } }, size: { pin: { rounds: 6 } } }),
  },
  begins: ({ size }) => ({ hold: { pin: { chains: 6 } }, size, finish: { inLoop: 1, inStitch: 1 } }),
  demand: spec => ({ asks: loopsAsks(spec), leaves: stitches => loopsGive(spec, stitches) }), main: () => 'sc', work: workLoops,
  tighten: tighter,
})
