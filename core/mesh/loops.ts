import { tape } from '../measure/format'
import { type Length, times } from '../measure/length'
import { type Asks, asksWords, divides, nearestCounts } from '../part/asks'
import type { Finding } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, type Size, stopped, workUp } from '../part/part'
import type { Edge } from '../round/edge'
import type { Round } from '../round/round'
import { at, chain, each, inOne, repeat, skip, type Step } from '../round/step'
import { inStyle } from '../round/style'
import { closingOf, closingWays } from './closing'
import { hang, type Row } from './hang'

/** How rounds of loops end: closed half way along the last loop by a taller stitch, or on and on in a spiral. */
export const LOOP_ENDS = ['closed', 'spiral'] as const

/** Fans worked back and forth in every so many loops. */
export interface Motif {
  /** Plain loops between two fans. */
  readonly between: number
  /** Stitches in a fan, and rows it is worked back and forth. */
  readonly stitches: number
  readonly rows: number
  /** Loop rounds from one round of fans to the next; the first one comes after as many. */
  readonly every: number
}

/** A net of loops that stay the same number and grow, hold and narrow by their chains (handbook 8, loop mesh). */
export interface LoopsSpec {
  readonly band: 'loops'
  /** Stitches skipped under each loop of the first round. */
  readonly skip: number
  /** Chains of the first round's loops; each further round has one more, up to those that the net holds. */
  readonly first: number
  /** How long loops get: by their chains, or for a net so wide where nothing pulls it. */
  readonly hold: Size<{ readonly flatWidthCm: number }, { readonly chains: number }>
  /** Chains of the last round's loops, narrowing by one a round towards them; no narrowing if left out. */
  readonly last?: Size<{ readonly mouthCm: number }, { readonly chains: number }>
  readonly size: Size<{ readonly heightCm: number }, { readonly rounds: number }>
  readonly ends: (typeof LOOP_ENDS)[number]
  readonly motif?: Motif
  /** A solid round on top: so many stitches in each loop, and in each single between. */
  readonly finish?: { readonly inLoop: number, readonly inStitch: number }
  readonly colour: string
}

/** What a net asks of the count below: a whole number of loops, and a whole number of fans. */
export function loopsAsks({ skip: skipped, motif }: LoopsSpec): Asks {
  return { multiple: (skipped + 1) * (motif ? motif.between + 1 : 1), plus: 0, least: 2 * (skipped + 1) }
}

/** The loops that so many stitches make. */
export function loopsOn({ skip: skipped }: LoopsSpec, count: number): number {
  return Math.floor(count / (skipped + 1))
}

/** Places that a net leaves for what comes above. */
export function loopsGive(spec: LoopsSpec, count: number): number {
  const loops = loopsOn(spec, count)
  return spec.finish ? loops * (spec.finish.inLoop + spec.finish.inStitch) : 2 * loops
}

/** The least chains that hold a loop open. */
const FEWEST = 2

/** Chains of a loop so long that a square row of them goes so far round. */
function chainsAround(aroundCm: number, loops: number, chainCm: number): number {
  return Math.max(FEWEST, Math.round((Math.SQRT2 * aroundCm) / loops / chainCm))
}

/** The chains that loops grow to, and narrow to. */
function chainEnds(spec: LoopsSpec, loops: number, chainCm: number): { readonly hold: number, readonly last?: number } {
  const hold = 'pin' in spec.hold ? spec.hold.pin.chains : chainsAround(2 * spec.hold.want.flatWidthCm, loops, chainCm)
  if (!spec.last) return { hold }
  return { hold, last: 'pin' in spec.last ? spec.last.pin.chains : chainsAround(spec.last.want.mouthCm, loops, chainCm) }
}

/** Chains of the loops round by round: growing by one, holding, narrowing by one. */
export function loopChains(spec: Pick<LoopsSpec, 'first'>, { hold, last = hold }: { readonly hold: number, readonly last?: number }, rounds: number): number[] {
  return Array.from({ length: rounds }, (_, i) => Math.max(FEWEST, Math.min(spec.first + i, hold, last + (rounds - 1 - i))))
}

/** Chains round by round, and how the net then hangs. */
interface Plan {
  readonly chains: readonly number[]
  readonly rows: readonly Row[]
}

function planFor(spec: LoopsSpec, rounds: number, loops: number, { gauge, inside }: Setting, belowCm: number, ends: { readonly hold: number, readonly last?: number }): Plan {
  const chains = loopChains(spec, ends, rounds)
  const aboveCm = spec.finish ? loops * (spec.finish.inLoop + spec.finish.inStitch) * gauge.sc.width.cm : undefined
  return { chains, rows: hang(chains.map(n => n * gauge.ch.width.cm), loops, { belowCm, ...(aboveCm === undefined ? {} : { aboveCm }), ...(inside ? { inside } : {}) }) }
}

const tallOf = ({ rows }: Plan) => rows.reduce((sum, { riseCm }) => sum + riseCm, 0)

/** The plan for a wanted height: the rounds whose rows, as they hang, come nearest to it. */
function wantedPlan(spec: LoopsSpec, heightCm: number, planOf: (rounds: number) => Plan): Plan {
  let best = planOf(1)
  for (let rounds = 2; rounds <= 200; rounds++) {
    const next = planOf(rounds)
    if (Math.abs(tallOf(next) - heightCm) >= Math.abs(tallOf(best) - heightCm)) {
      // Narrowing rounds may rise less for a while; stop once the net is tall enough.
      if (tallOf(next) >= heightCm) break
      continue
    }
    best = next
  }
  return best
}

const intoLoop: Step = at('loop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })
const intoThisLoop: Step = at('thisLoop', { do: 'stitch', kind: 'sc', times: 1, aim: 'space' })

function fanOf({ stitches, rows }: Motif): Step {
  return at('loop', { do: 'group', aim: 'space', rows, steps: [each('dc', stitches)] })
}

/** Which rounds of a net have fans: every so many, never the first or the last. */
export function isFanRound({ motif }: LoopsSpec, i: number, rounds: number): boolean {
  return motif !== undefined && i > 0 && i < rounds - 1 && i % motif.every === 0
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
  if (!fans) return closed ? [intoThisLoop, ...(loops > 1 ? [repeat(loops - 1, chain(chains), intoLoop)] : [])] : [repeat(loops, chain(chains), intoLoop)]
  const { between } = spec.motif!
  const fan = [chain(chains), fanOf(spec.motif!)]
  const plain = between > 0 ? [repeat(between, chain(chains), intoLoop)] : []
  const groups = loops / (between + 1)
  if (!closed) return [repeat(groups, ...plain, ...fan)]
  const firstPlain = between > 1 ? [repeat(between - 1, chain(chains), intoLoop)] : []
  return [intoThisLoop, ...firstPlain, ...fan, ...(groups > 1 ? [repeat(groups - 1, ...plain, ...fan)] : [])]
}

function loopRound(spec: LoopsSpec, i: number, chains: number, loops: number, fans: boolean): Round {
  const closed = spec.ends === 'closed'
  return {
    steps: loopSteps(spec, i, chains, loops, fans), colour: spec.colour, facing: 'right', inLoops: true,
    begin: { chains: closed ? 1 : 0, counts: false, turn: false }, join: 'spiral', ...(closed ? { closing: closingOf(chains) } : {}),
  }
}

function finishRound({ finish, colour }: LoopsSpec, setting: Setting, loops: number, closed: boolean): Round {
  const { inLoop, inStitch } = finish!
  const loop = [at('loop', inOne('sc', inLoop))]
  const stitch = inStitch > 0 ? [inStitch === 1 ? each('sc', 1) : inOne('sc', inStitch)] : [skip(1)]
  return inStyle({ ...setting.rounds, style: setting.rounds.style === 'spiral' || !closed ? 'spiral' : 'joined', startingChainCounts: false }, 0, 'sc', colour, [repeat(loops, ...loop, ...stitch)])
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

function netFindings(spec: LoopsSpec, plan: Plan, loops: number, chainCm: number, belowCm: number): Finding[] {
  const found: Finding[] = []
  const tightest = Math.min(...plan.chains.map(n => n * chainCm * loops))
  if (tightest < belowCm * 0.98) {
    found.push({ code: 'loops-tight', weight: 'watch', what: `Stretched flat, the shortest loops go ${tape(tightest)} round, and the edge below ${tape(belowCm)}: they draw it in. Give them more chains, or skip fewer stitches.` })
  }
  if (spec.motif && !plan.chains.some((_, i) => isFanRound(spec, i, plan.chains.length))) {
    found.push({ code: 'fans-nowhere', weight: 'note', what: `No round of fans comes in so few rounds: the first would be round ${spec.motif.every + 1} of the net, and the last round has none.` })
  }
  return found
}

/** What a maker is told beside each round: its marker, and to count before fans. */
function notesFor(spec: LoopsSpec, plan: Plan, loops: number): (string | undefined)[] {
  const rounds = plan.chains.length
  return plan.chains.map((_, i) => {
    const marker = spec.ends === 'closed' ? 'Marker in the closing stitch.' : 'Marker in the last {sc}.'
    if (!isFanRound(spec, i + 1, rounds)) return marker
    return `${marker} Count the loops before the fans: there must be ${loops}, a multiple of ${spec.motif!.between + 1}. A missing one is easily added; one too many has to be ripped back.`
  })
}

function adviceFor(spec: LoopsSpec, plan: Plan, chain: 'measured' | 'estimated' | 'assumed'): string[] {
  const advice: string[] = []
  if (spec.ends === 'closed') {
    const longest = Math.max(...plan.chains)
    const others = closingWays(longest).slice(1).map(({ chains, kind }) => `ch ${chains} and {${kind}}`)
    advice.push(`The last loop of each round is closed by chains and a taller stitch, together as long as a loop, so that the next round starts at its top. Mark that stitch every round: losing it is how a loop goes missing.${others.length > 0 ? ` For loops of ${longest} some work ${others.join(', or ')} instead.` : ''}`)
  }
  else advice.push('Worked on and on: the rounds climb like a stair. Move a marker up in the last {sc} of every round.')
  if (chain !== 'measured') advice.push('No chain was measured: a chain is taken to be as long as your {sc.name} is wide. Ten chains on a tape make the net\'s size surer.')
  return advice
}

/** Works a net of loops onto an edge, and its solid round if it has one. */
export function loops(spec: LoopsSpec, edge: Edge, setting: Setting): PartResult {
  const { gauge } = setting
  const chainWidth = gauge.ch.width
  const nothing = { height: times(chainWidth, 0), circumference: times(gauge.sc.width, edge.count) }
  const asks = loopsAsks(spec)
  const count = loopsOn(spec, edge.count)
  if (!divides(edge.count, asks)) {
    const { below, above } = nearestCounts(edge.count, asks)
    return stopped(edge, nothing, {
      code: 'does-not-divide', weight: 'stop',
      what: `This net asks for ${asksWords(asks)}${spec.motif ? ` (${spec.skip + 1} a loop, ${spec.motif.between + 1} loops a fan)` : ''}, and ${edge.count} stitches come up from below; it could be worked on ${below === undefined ? 'at least ' : `${below} or `}${above}. Add an adjusting round below it, or change the base.`,
    })
  }
  const belowCm = setting.belowCm ?? edge.count * gauge.sc.width.cm
  const ends = chainEnds(spec, count, chainWidth.cm)
  const planOf = (rounds: number) => planFor(spec, rounds, count, setting, belowCm, ends)
  const plan = 'pin' in spec.size ? planOf(Math.min(spec.size.pin.rounds, MOST_ROUNDS + 1)) : wantedPlan(spec, spec.size.want.heightCm, planOf)
  const rounds = plan.chains.length
  const height = heightOf(plan, chainWidth)
  if (rounds > MOST_ROUNDS || rounds * count * 2 > MOST_STITCHES) return stopped(edge, { ...nothing, height }, { code: 'band-too-tall', weight: 'stop', what: `This net would take ${rounds.toLocaleString('en')} rounds of ${count} loops. Ask for a lower one.` })
  const total = rounds + (spec.finish ? 1 : 0)
  const worked = workUp(edge, total, setting, i => i < rounds ? loopRound(spec, i, plan.chains[i]!, count, isFanRound(spec, i, rounds)) : finishRound(spec, setting, count, spec.ends === 'closed'))
  const rim = spec.finish ? loopsGive(spec, edge.count) * gauge.sc.width.cm : plan.rows.at(-1)!.aroundCm
  const finishCm = spec.finish ? gauge.sc.height.cm : 0
  return {
    rounds: worked.rounds, edge: worked.edge,
    size: { height: { cm: height.cm + finishCm, plusMinusCm: height.plusMinusCm + (spec.finish ? gauge.sc.height.plusMinusCm : 0) }, circumference: { cm: rim, plusMinusCm: rim * (chainWidth.plusMinusCm / chainWidth.cm) } },
    rises: [...plan.rows.map(({ riseCm }) => riseCm), ...(spec.finish ? [finishCm] : [])],
    arounds: [...plan.rows.map(({ aroundCm }) => aroundCm), ...(spec.finish ? [rim] : [])],
    notes: notesFor(spec, plan, count),
    advice: adviceFor(spec, plan, gauge.ch.known),
    net: { loops: count, loopsCm: plan.chains.map(n => n * chainWidth.cm) },
    findings: worked.stop ? [worked.stop] : netFindings(spec, plan, count, chainWidth.cm, belowCm),
  }
}
