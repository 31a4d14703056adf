import { workBase } from '../base/base'
import { contentOf, girthCm, roomOf } from '../contents/contents'
import type { Design, WallPart } from '../design/design'
import type { Gauge } from '../gauge/gauge'
import { fromNothing, type PartResult, type Setting } from '../part/part'
import type { Start } from '../part/start'
import { type Allowance, allow, BeyondAllowance, within } from '../round/allowance'
import { type Edge, withSides } from '../round/edge'
import type { Worked } from '../round/worked'
import { turnUp } from '../wall/turnUp'
import { kindOf, looksUp, mainStitch, workWall } from '../wall/wall'
import { accepts } from './accepts'
import { asFound, type Found } from './found'
import { type Drafted, type DraftPart, isStopped } from './part'
import { asPart } from './told'
import { tooMuch, tooMuchFinding } from './tooMuch'

/*
 * The fold over a bag's parts
 * ===========================
 *
 * Each part takes the edge that the one below left, works rounds onto it and leaves a new edge. What a part was worked from is
 * written down beside it: when the bag is drafted anew, a part that would be worked from the very same things is taken over.
 */

/** What a part was worked from: two parts from the same things are the same, and need not be worked twice. */
interface Origin {
  readonly spec: unknown
  readonly edge: Edge | undefined
  readonly index: number
  readonly turns: number
  /** What else it looked at, one thing after the other. */
  readonly saw: readonly unknown[]
}

/** A part worked, and what from; how much was made for it, and how much at most was asked for on the way. */
interface WorkedPart {
  readonly part: DraftPart
  readonly origin: Origin
  readonly made: number
  readonly reached: number
}

/** The parts of a bag from the floor up, with what the next fold can take over from them. */
export interface Fold {
  readonly parts: readonly DraftPart[]
  readonly start: Start
  readonly worked: readonly WorkedPart[]
  readonly gauge: Gauge
  readonly rounds: Design['rounds']
}

const NO_START: Start = { kind: 'ring', chains: 0 }

/** A part waiting to be worked onto the edge below. */
interface Waiting {
  readonly id: string
  readonly name: string
  readonly from: Drafted
  /** What it looks at besides its spec and what lies below. */
  readonly sees: readonly unknown[]
  readonly work: (edge: Edge, setting: Setting) => PartResult
}

/** What a part of a wall is called: by its place, and by its kind if that has a name. */
function nameOf(design: Design, spec: WallPart, index: number): string {
  const place = design.wall.length > 1 ? `Wall ${index + 1}` : 'Wall'
  const { title, name } = kindOf(spec)
  const kind = title ? title(spec, design.repeats) : name
  return kind ? `${place}, ${kind}` : place
}

function waitingTurnUp(design: Design, gauge: Gauge): Waiting {
  const [first] = design.wall
  const kind = first ? mainStitch(first, { gauge, repeats: design.repeats }) : design.base.stitch
  const colour = first?.colour ?? design.base.colour
  return {
    id: 'turnUp', name: 'Turn-up', from: { in: 'turnUp', spec: design.turnUp }, sees: [kind, colour],
    work: (edge, setting) => turnUp(design.turnUp, kind, colour, edge, setting),
  }
}

function waitingWall(design: Design, gauge: Gauge, spec: WallPart, index: number): Waiting {
  const above = looksUp(spec) ? [...design.wall.slice(index + 1), design.mouth?.divides] : []
  return {
    id: spec.id, name: nameOf(design, spec, index), from: { in: 'wall', spec, index }, sees: [design.repeats, index, ...above],
    work: (edge, setting) => workWall(spec, edge, { ...setting, repeats: design.repeats, accepts: accepts(design, index + 1, gauge) }),
  }
}

/** The next turned round shows the other side of the last one. */
function turnsAfter(last: Worked | undefined): number {
  if (!last) return 0
  return last.round.facing === 'right' ? 1 : 2
}

/**
 * The edge with its sides where they are after a part whose seam leaned: the start of the rounds moves back, so the
 * bag's sides lie as many stitches further along (craft 10). Shifts are taken from the whole way up, so that they add
 * up to whole stitches without drifting.
 */
function leaned(edge: Edge, rounds: Design['rounds'], before: number, after: number): Edge {
  const { style, leanPerTen = 0 } = rounds
  if (style !== 'joined' || leanPerTen === 0) return edge
  const shift = Math.round((leanPerTen * after) / 10) - Math.round((leanPerTen * before) / 10)
  return shift === 0 ? edge : withSides(edge, [edge.sides[0] + shift, edge.sides[1] + shift])
}

/** What the bag must hold, as far as it still stands up above so many centimetres; what is soft gives way. */
function insideAt({ contents }: Design, tallCm: number): Pick<Setting, 'inside'> {
  if (!contents || contentOf(contents).soft) return {}
  const room = roomOf(contents)
  return room.heightCm > tallCm ? { inside: { aroundCm: girthCm(room), heightCm: room.heightCm - tallCm } } : {}
}

function alike(a: Origin, b: Origin): boolean {
  return (
    a.spec === b.spec
    && a.edge === b.edge
    && a.index === b.index
    && a.turns === b.turns
    && a.saw.length === b.saw.length
    && a.saw.every((one, i) => one === b.saw[i])
  )
}

/** How far the fold has come: what is worked, how many rounds, how tall, and how many rounds above the base the seam has leaned in. */
class Rising {
  readonly worked: WorkedPart[] = []
  start: Start = NO_START
  private below = 0
  private last: Worked | undefined
  private risen = 0
  private tallCm = 0
  /** The edge that is really there, where the next round puts a count right. */
  private real: Edge | undefined
  private readonly allowance: Allowance = allow()

  constructor(
    private readonly design: Design,
    private readonly gauge: Gauge,
    private readonly known: readonly WorkedPart[],
    start: Start | undefined,
    private readonly found: readonly Found[],
  ) {
    if (start) this.start = start
  }

  get edge(): Edge | undefined {
    return this.worked.at(-1)?.part.edge
  }

  private setting(): Setting {
    const { design, gauge, worked, tallCm } = this
    const under = worked.at(-1)?.part
    const floor = worked[0]?.part.size.floor
    return {
      ...fromNothing(gauge, design.rounds), index: this.below, turns: turnsAfter(this.last),
      ...(under ? { belowCm: under.size.circumference.cm, tallCm } : {}), ...(floor ? { floor } : {}), ...insideAt(design, tallCm),
    }
  }

  /** Works the next part, or takes it over from the fold before; whether the bag goes on above it. */
  take({ id, name, from, sees }: Omit<Waiting, 'work'>, work: (setting: Setting) => PartResult): boolean {
    const setting = this.setting()
    const { belowCm, tallCm, floor, inside } = setting
    const origin: Origin = {
      spec: from.spec, edge: this.edge, index: this.below, turns: setting.turns,
      saw: [name, belowCm, tallCm, floor, inside?.aroundCm, inside?.heightCm, ...sees, ...this.found],
    }
    const earlier = this.known[this.worked.length]
    const worked = earlier && alike(earlier.origin, origin) && this.allows(earlier)
      ? earlier
      : this.bounded(id, name, from, origin, () => this.goneOn(work(setting)))
    this.allowance.made = this.allowance.made + worked.made
    const { part } = worked
    this.worked.push(worked)
    this.below += part.rounds.length
    this.last = part.rounds.at(-1) ?? this.last
    this.tallCm += part.size.height.cm
    if (this.worked.length > 1) this.risen += part.rounds.length
    return !isStopped(part)
  }

  /** Whether a part that was worked before could be worked here too. */
  private allows({ reached }: WorkedPart): boolean {
    return this.allowance.made + reached <= this.allowance.most
  }

  /** Works a part, as far as the bag's allowance goes. */
  private bounded(id: string, name: string, from: Drafted, origin: Origin, work: () => PartResult): WorkedPart {
    const left: Allowance = allow(this.allowance.most - this.allowance.made)
    try {
      return { part: this.anew(id, name, from, within(left, work)), origin, made: left.made, reached: left.reached }
    }
    catch (beyond) {
      if (!(beyond instanceof BeyondAllowance)) throw beyond
      const inAll = new BeyondAllowance(this.allowance.made + beyond.made, beyond.asked)
      const finding = tooMuchFinding(this.design, id, from, origin.edge, inAll)
      const part = asPart(id, name, from, this.below, tooMuch(origin.edge, this.gauge))
      // It is never taken over: how much is left is part of what it says.
      return { part: { ...part, findings: [finding] }, origin, made: 0, reached: Infinity }
    }
  }

  /** A part as it goes on from what was counted on the hook. */
  private goneOn(result: PartResult): PartResult {
    if (this.found.length === 0) return result
    const { result: after, real } = asFound(result, this.below, this.found, this.real)
    this.real = real
    return after
  }

  private anew(id: string, name: string, from: Drafted, result: PartResult): DraftPart {
    const { design: { rounds }, below, risen } = this
    if (this.worked.length === 0) {
      this.start = result.start ?? NO_START
      return asPart(id, name, from, below, result)
    }
    return asPart(id, name, from, below, { ...result, edge: leaned(result.edge, rounds, risen, risen + result.rounds.length) })
  }
}

/**
 * The parts from the floor up, each worked onto the edge that the one below left; a stop ends the bag there.
 *
 * @param before an earlier fold: parts worked from the very same things are taken over from it
 * @param found counts that rounds really have, where the maker went on with another than planned
 */
export function fold(design: Design, gauge: Gauge, before?: Fold, found: readonly Found[] = []): Fold {
  const known = before && before.gauge === gauge && before.rounds === design.rounds ? before.worked : []
  const rising = new Rising(design, gauge, known, before?.start, found)
  let goesOn = rising.take({ id: 'base', name: 'Base', from: { in: 'base', spec: design.base }, sees: [] }, setting =>
    workBase(design.base, setting),
  )
  const above = [waitingTurnUp(design, gauge), ...design.wall.map((spec, i) => waitingWall(design, gauge, spec, i))]
  for (const waiting of above) {
    if (!goesOn) break
    const edge = rising.edge!
    goesOn = rising.take(waiting, setting => waiting.work(edge, setting))
  }
  return { parts: rising.worked.map(({ part }) => part), start: rising.start, worked: rising.worked, gauge, rounds: design.rounds }
}
