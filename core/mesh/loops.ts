import { between, choice, count, length, maybe, optional, pin, want, ways } from '../field/ask'
import { AROUND_CM, DIAMETER_CM, HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { type Now, tenths } from '../field/now'
import type { Gauge } from '../gauge/gauge'
import { kind, type PartSpec } from '../kind/kind'
import { tape } from '../measure/format'
import { type Length, times } from '../measure/length'
import { type Asks, asksWords, divides, nearestCounts } from '../part/asks'
import type { Finding, Fix } from '../part/finding'
import { MOST_ROUNDS, MOST_STITCHES, type PartResult, type Setting, stopped, workUp } from '../part/part'
import type { Edge } from '../round/edge'
import type { Round } from '../round/round'
import { at, chain, each, inOne, repeat, skip, type Step } from '../round/step'
import { inStyle } from '../round/style'
import { closingOf, closingWays } from './closing'
import { hang, type Row } from './hang'
import { boxOpening } from './openings'

const LOOP_CHAINS = between(2, 60)
const usualChains = between(2, 9)

/** The chains of the longest loops, as drafted now. */
function longestNow({ part, gauge }: Now): number {
  return Math.round(Math.max(2, ...(part?.net?.loopsCm ?? [3])) / gauge.ch.width.cm)
}

const SIZE = ways('Decide by', [
  want('a height', { heightCm: length('Height of the net', HEIGHT_CM, { usually: between(1, 30) }) }, {
    does: 'As it hangs empty; the rounds are found.', from: (_, { part }) => ({ heightCm: tenths(part?.size.height.cm || 20, HEIGHT_CM) }),
  }),
  pin('rounds', { rounds: count('Rounds of loops', PINNED_ROUNDS, { usually: between(1, 15) }) }, { from: (_, { part }) => ({ rounds: part?.net?.loopsCm.length ?? 8 }) }),
])

const HOLD = ways('Loops grow by a chain a round up to', [
  pin('so many chains', { chains: count('Chains of a full loop', LOOP_CHAINS, { usually: usualChains }) }, { from: (_, now) => ({ chains: longestNow(now) }) }),
  want('a width', { flatWidthCm: length('Width lying flat', DIAMETER_CM, { usually: between(5, 60) }) }, {
    does: 'As wide as the net lies where nothing pulls it: its diamonds square.', from: () => ({ flatWidthCm: 30 }),
  }),
])

const LAST = optional(ways('Towards the mouth they', [
  pin('get shorter', { chains: count('Chains at the mouth', LOOP_CHAINS, { usually: usualChains }) }, {
    does: 'By a chain a round, to so many.', from: (_, now) => ({ chains: Math.max(2, longestNow(now) - 2) }),
  }),
  want('draw in to a mouth', { mouthCm: length('Around the mouth', AROUND_CM, { usually: between(5, 60) }) }, {
    does: 'By a chain a round, to a mouth so far round.', from: () => ({ mouthCm: 40 }),
  }),
], { none: { name: 'stay' } }))

const MOTIF = {
  between: count('Loops between', between(1, 40), { begins: 3, beside: true, usually: between(1, 4), says: 'Plain loops between two fans.' }),
  every: count('A round in every', between(1, 40), {
    begins: 4, beside: true, usually: between(1, 4), says: 'Loop rounds from one round of fans to the next; the first one comes after as many.',
  }),
  stitches: count('Stitches of a fan', between(2, 20), { begins: 4, beside: true, usually: between(2, 5) }),
  rows: count('Rows of a fan', between(1, 9), { begins: 3, beside: true, usually: between(1, 3), says: 'Rows that a fan is worked back and forth.' }),
} as const

const FINISH = {
  inLoop: count('In each loop', between(1, 40), { begins: 4, beside: true, usually: between(1, 5) }),
  inStitch: count('In each {sc}', between(0, 4), { begins: 1, beside: true, usually: between(0, 2) }),
} as const

const fields = {
  size: SIZE,
  skip: count('Skipped under a loop', between(0, 12), { begins: 1, beside: true, usually: between(0, 3), says: 'Stitches skipped under each loop of the first round.' }),
  first: count('Chains at first', LOOP_CHAINS, { begins: 3, beside: true, usually: usualChains, says: 'Chains of the loops of the first round; each further round has one more, up to those that the net holds.' }),
  hold: HOLD,
  last: LAST,
  ends: choice('Rounds are', [
    { value: 'closed', name: 'closed each time', does: 'The last loop is fewer chains and a taller stitch, so that the next round starts at its top. Mark that stitch.' },
    { value: 'spiral', name: 'on and on', does: 'No closing: loop after loop, climbing like a stair. Mark the last {sc} of each round.' },
  ], { begins: 'closed' }),
  motif: maybe('Fans', MOTIF, {
    without: { name: 'none' },
    having: { name: 'in some loops', does: 'Worked back and forth inside a loop, plain loops between; the loops must divide by the two together.' },
    says: 'Fans worked back and forth in every so many loops.', begin: { between: 3, stitches: 4, rows: 3, every: 4 },
  }),
  finish: maybe('On top', FINISH, {
    without: { name: 'loops to the end' },
    having: { name: 'a solid round', does: 'So many stitches in each loop and in each {sc}: it sets how wide the rim holds the net.' },
    says: 'A solid round on top: stitches in each loop, and in each single between.', begin: { inLoop: 2, inStitch: 1 },
  }),
} as const

/** A net of loops that stay the same number and grow, hold and narrow by their chains (craft 8, loop mesh). */
export type LoopsSpec = PartSpec<'loops', typeof fields>
/** Fans worked back and forth in every so many loops. */
export type Motif = NonNullable<LoopsSpec['motif']>

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
function workLoops(spec: LoopsSpec, edge: Edge, setting: Setting): PartResult {
  const { gauge } = setting
  const chainWidth = gauge.ch.width
  const nothing = { height: times(chainWidth, 0), circumference: times(gauge.sc.width, edge.count) }
  const asks = loopsAsks(spec)
  const loops = loopsOn(spec, edge.count)
  if (!divides(edge.count, asks)) {
    const { below, above } = nearestCounts(edge.count, asks)
    return stopped(edge, nothing, {
      code: 'does-not-divide', weight: 'stop',
      what: `This net asks for ${asksWords(asks)}${spec.motif ? ` (${spec.skip + 1} a loop, ${spec.motif.between + 1} loops a fan)` : ''}, and ${edge.count} stitches come up from below; it could be worked on ${below === undefined ? 'at least ' : `${below} or `}${above}. Add an adjusting round below it, or change the base.`,
    })
  }
  const belowCm = setting.belowCm ?? edge.count * gauge.sc.width.cm
  const ends = chainEnds(spec, loops, chainWidth.cm)
  const planOf = (rounds: number) => planFor(spec, rounds, loops, setting, belowCm, ends)
  const plan = 'pin' in spec.size ? planOf(Math.min(spec.size.pin.rounds, MOST_ROUNDS + 1)) : wantedPlan(spec, spec.size.want.heightCm, planOf)
  const rounds = plan.chains.length
  const height = heightOf(plan, chainWidth)
  if (rounds > MOST_ROUNDS || rounds * loops * 2 > MOST_STITCHES) return stopped(edge, { ...nothing, height }, { code: 'band-too-tall', weight: 'stop', what: `This net would take ${rounds.toLocaleString('en')} rounds of ${loops} loops. Ask for a lower one.` })
  const total = rounds + (spec.finish ? 1 : 0)
  const worked = workUp(edge, total, setting, i => i < rounds ? loopRound(spec, i, plan.chains[i]!, loops, isFanRound(spec, i, rounds)) : finishRound(spec, setting, loops, spec.ends === 'closed'))
  const rim = spec.finish ? loopsGive(spec, edge.count) * gauge.sc.width.cm : plan.rows.at(-1)!.aroundCm
  const finishCm = spec.finish ? gauge.sc.height.cm : 0
  return {
    rounds: worked.rounds, edge: worked.edge,
    size: { height: { cm: height.cm + finishCm, plusMinusCm: height.plusMinusCm + (spec.finish ? gauge.sc.height.plusMinusCm : 0) }, circumference: { cm: rim, plusMinusCm: rim * (chainWidth.plusMinusCm / chainWidth.cm) } },
    rises: [...plan.rows.map(({ riseCm }) => riseCm), ...(spec.finish ? [finishCm] : [])],
    arounds: [...plan.rows.map(({ aroundCm }) => aroundCm), ...(spec.finish ? [rim] : [])],
    notes: notesFor(spec, plan, loops),
    advice: adviceFor(spec, plan, gauge.ch.known),
    net: { loops, loopsCm: plan.chains.map(n => n * chainWidth.cm) },
    findings: worked.stop ? [worked.stop] : netFindings(spec, plan, loops, chainWidth.cm, belowCm),
  }
}

/** A hole should be this much smaller than what it must keep in: thread wears and knots slip (from memory). */
export const SAFE_SHARE = 0.85

/** Loops of fewer chains, or boxes in their place. */
function tighter(spec: LoopsSpec, ballCm: number, gauge: Gauge): Fix[] {
  const chains = Math.floor((ballCm * SAFE_SHARE * Math.PI) / 2 / gauge.ch.width.cm)
  const last = spec.last && { pin: { chains: Math.min(chains, 'pin' in spec.last ? spec.last.pin.chains : chains) } }
  const shorter: Fix = {
    label: `Loops of at most ${chains} chains`,
    changes: [
      { path: ['hold'], value: { pin: { chains } } }, { path: ['first'], value: Math.min(spec.first, chains) }, ...(last ? [{ path: ['last'], value: last }] : []),
    ],
  }
  const boxes: Fix = { label: 'Boxes instead of loops', changes: [{ path: [], value: { band: 'boxes', chains: 1, finish: true, size: spec.size, colour: spec.colour } }] }
  return [...(chains >= 2 ? [shorter] : []), ...(boxOpening(1, gauge).ballCm < ballCm * SAFE_SHARE ? [boxes] : [])]
}

/** A net of loops (craft 8). */
export const loops = kind({
  band: 'loops', group: 'Mesh', name: 'net', does: 'Loops of chains, each caught in the middle of one below: it hangs in diamonds and gives.', fields,
  shapes: true, sample: { on: 'itself', bare: true, spec: ({ finish: _, ...spec }) => ({ ...spec, skip: 2, hold: { pin: { chains: 4 } }, size: { pin: { rounds: 6 } } }) },
  begins: ({ size }) => ({ hold: { pin: { chains: 6 } }, size, finish: { inLoop: 1, inStitch: 1 } }),
  demand: spec => ({ asks: loopsAsks(spec), leaves: stitches => loopsGive(spec, stitches) }),
  main: () => 'sc', work: workLoops, tighten: tighter,
})
