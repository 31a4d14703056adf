import { workBase } from '../base/base'
import { roomOf } from '../contents/contents'
import type { Design } from '../design/design'
import type { Gauge } from '../gauge/gauge'
import { inUnits, type Units } from '../measure/format'
import { times } from '../measure/length'
import type { Fix } from '../part/finding'
import type { Piece } from '../part/piece'
import type { PartResult, Setting, Start } from '../part/part'
import { type Edge, withSides } from '../round/edge'
import { liesOver } from '../round/freeRuns'
import { comesOut, mainStitch, type WallSpec, workWall } from '../wall/wall'
import { turnUp } from '../wall/turnUp'
import type { DraftPart } from './part'

/** What a part was worked from: two parts from the same things are the same, and need not be worked twice. */
interface From {
  readonly spec: unknown
  readonly edge: Edge | undefined
  readonly index: number
  readonly turns: number
  /** What else it looked at, part by part. */
  readonly saw: readonly unknown[]
}

/** A part worked, and what from. */
interface WorkedPart {
  readonly part: DraftPart
  readonly from: From
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
  readonly path: readonly (string | number)[]
  readonly spec: unknown
  readonly saw: readonly unknown[]
  readonly work: (edge: Edge, setting: Setting) => PartResult
}

const NAMES: Partial<Record<WallSpec['band'], string>> = {
  'ridges': 'ridges', 'rib': 'rib', 'pairs': 'pairs', 'groups': 'groups of three', 'vees': 'open V\'s', 'sprigs': 'sprigs', 'waves': 'waves', 'boxes': 'boxes', 'moss': 'moss', 'loops': 'net', 'eyelets': 'casing', 'ruffle': 'ruffle', 'picots': 'picots', 'shells': 'shells', 'rim': 'rim', 'slots': 'slots', 'chain-straps': 'chain straps', 'grown-strap': 'grown strap', 'knot-straps': 'knot straps', 'sewn-straps': 'sewn straps', 'under-strap': 'strap under the bag', 'cross-body': 'cross-body cord', 'bought-handles': 'bought handles', 'button-loop': 'button and loop', 'tab': 'tab', 'zip': 'zip', 'adjust': 'adjusting round', 'taper': 'taper',
}

/** What a part of a wall is called: by its place, and by its texture if it has one. */
function nameOf(design: Design, i: number): string {
  const spec = design.wall[i]!
  const place = design.wall.length > 1 ? `Wall ${i + 1}` : 'Wall'
  const kind = spec.band === 'adjust' && spec.counted ? 'as counted' : spec.band === 'own' ? design.repeats.find(({ id }) => id === spec.repeat)?.name : NAMES[spec.band]
  return kind ? `${place}, ${kind}` : place
}

function mouthDivides({ mouth }: Design, count: number): boolean {
  return !mouth || count % mouth.divides === 0
}

/** Whether all the parts above one divide when so many stitches come up to them, the mouth included. */
export function accepts(design: Design, above: number, gauge: Gauge): (count: number) => boolean {
  const rest = design.wall.slice(above)
  return (count) => {
    const out = comesOut(rest, design.repeats, count, gauge)
    if ('stuckAt' in out) return false
    // A part that finds its own count sees to the mouth itself.
    const settles = rest.some(spec => (spec.band === 'adjust' && 'want' in spec.to) || (spec.band === 'taper' && 'want' in spec.size))
    return settles || mouthDivides(design, out.count)
  }
}

function partsAbove(design: Design, gauge: Gauge): Waiting[] {
  const [first] = design.wall
  const kind = first ? mainStitch(first, design.repeats) : design.base.stitch
  const colour = first?.colour ?? design.base.colour
  return [
    {
      id: 'turnUp', name: 'Turn-up', path: ['turnUp'], spec: design.turnUp, saw: [kind, colour],
      work: (edge, setting) => turnUp(design.turnUp, kind, colour, edge, setting),
    },
    ...design.wall.map((spec, i): Waiting => {
      const looksUp = spec.band === 'adjust' && 'want' in spec.to
      return {
        id: `wall.${i}`, name: nameOf(design, i), path: ['wall', i], spec,
        saw: [...(spec.band === 'own' ? [design.repeats] : []), ...(looksUp ? [...design.wall.slice(i + 1), design.repeats, design.mouth?.divides] : [])],
        work: (edge, setting) => workWall(spec, edge, setting, design.repeats, accepts(design, i + 1, gauge)),
      }
    }),
  ]
}

/** A part's fix, pointed at the part's place in the design. */
function placed(fix: Fix, path: readonly (string | number)[], units: Units): Fix {
  return { label: inUnits(fix.label, units), changes: fix.changes.map(change => ({ ...change, path: [...path, ...change.path] })) }
}

/** What is said of a piece, in the maker's units. */
function pieceIn(piece: Piece, units: Units): Piece {
  const told = (texts: readonly string[]) => texts.map(text => inUnits(text, units))
  return { ...piece, advice: told(piece.advice), finish: told(piece.finish), ...(piece.lead ? { lead: inUnits(piece.lead, units) } : {}) }
}

function asPart({ id, name, path }: Pick<Waiting, 'id' | 'name' | 'path'>, below: number, result: PartResult, units: Units): DraftPart {
  const findings = result.findings.map(finding => ({
    ...finding,
    part: id,
    what: inUnits(finding.what, units),
    ...(finding.fix ? { fix: placed(finding.fix, path, units) } : {}),
    ...(finding.otherFixes ? { otherFixes: finding.otherFixes.map(fix => placed(fix, path, units)) } : {}),
  }))
  // Handles worked in the round are no part of the mouth: there the rim is as wide as what they bridge.
  const flat = result.rounds.length > 0 && result.edge.free ? liesOver(result.edge) / result.edge.count : 1
  return {
    id, name, firstRound: below + 1, rounds: result.rounds, edge: result.edge, size: { ...result.size, circumference: times(result.size.circumference, flat) }, findings, rising: result.rising ?? result.rounds.length,
    layOut: result.layOut, markers: result.markers, advice: (result.advice ?? []).map(text => inUnits(text, units)), rises: result.rises, arounds: flat === 1 ? result.arounds : result.arounds?.map(cm => cm * flat), notes: result.notes, net: result.net, casing: result.casing,
    handles: result.handles ?? [], grip: result.grip, sidesMoved: result.sidesMoved ?? 0, pieces: (result.pieces ?? []).map(piece => pieceIn(piece, units)),
  }
}

function isStopped(part: DraftPart): boolean {
  return part.findings.some(finding => finding.weight === 'stop')
}

/** The next turned round shows the other side of the last one. */
function turnsAfter(parts: readonly DraftPart[]): number {
  const last = parts.flatMap(part => part.rounds).at(-1)
  if (!last) return 0
  return last.round.facing === 'right' ? 1 : 2
}

/**
 * The edge with its sides where they are after a part whose seam leaned: the start of the rounds moves back, so the
 * bag's sides lie as many stitches further along (handbook 10). Shifts are taken from the whole way up, so that they add
 * up to whole stitches without drifting.
 */
function leaned(edge: Edge, rounds: Design['rounds'], before: number, after: number): Edge {
  const { style, leanPerTen = 0 } = rounds
  if (style !== 'joined' || leanPerTen === 0) return edge
  const shift = Math.round((leanPerTen * after) / 10) - Math.round((leanPerTen * before) / 10)
  return shift === 0 ? edge : withSides(edge, [edge.sides[0] + shift, edge.sides[1] + shift])
}

/** What the bag must hold, as far as it still stands up above so many centimetres; folded cloth gives way. */
function insideAt({ contents }: Design, tallCm: number): Setting['inside'] {
  if (!contents || contents.kind === 'cloth') return undefined
  const { round, lengthCm, widthCm, heightCm } = roomOf(contents)
  return heightCm > tallCm ? { aroundCm: round ? Math.PI * lengthCm : 2 * (lengthCm + widthCm), heightCm: heightCm - tallCm } : undefined
}

function alike(a: From, b: From): boolean {
  return a.spec === b.spec && a.edge === b.edge && a.index === b.index && a.turns === b.turns
    && a.saw.length === b.saw.length && a.saw.every((one, i) => one === b.saw[i])
}

/**
 * The parts from the floor up, each worked onto the edge that the one below left; a stop ends the bag there.
 *
 * @param before an earlier fold: parts worked from the very same things are taken over from it
 */
export function fold(design: Design, gauge: Gauge, before?: Fold): Fold {
  const known = before && before.gauge === gauge && before.rounds === design.rounds ? before.worked : []
  const worked: WorkedPart[] = []
  let below = 0
  let edge: Edge | undefined
  let start: Start = before?.start ?? NO_START
  /** Rounds above the base so far: the seam leans in these. */
  let risen = 0
  let tall = 0

  const take = (waiting: Omit<Waiting, 'work'>, work: (setting: Setting) => PartResult) => {
    const inside = insideAt(design, tall)
    const setting: Setting = { gauge, rounds: design.rounds, index: below, turns: turnsAfter(worked.map(({ part }) => part)), ...(worked.length > 0 ? { belowCm: worked.at(-1)!.part.size.circumference.cm, tallCm: tall } : {}), ...(worked[0]?.part.size.floor ? { floor: worked[0].part.size.floor } : {}), ...(inside ? { inside } : {}) }
    const from: From = { spec: waiting.spec, edge, index: below, turns: setting.turns, saw: [waiting.name, design.units, setting.belowCm, setting.tallCm, setting.floor, inside?.aroundCm, inside?.heightCm, ...waiting.saw] }
    const earlier = known[worked.length]
    const same = earlier && alike(earlier.from, from)
    const result = same ? undefined : work(setting)
    if (result && worked.length === 0) start = result.start ?? NO_START
    const above = worked.length > 0
    const part = same ? earlier.part : asPart(waiting, below, above ? { ...result!, edge: leaned(result!.edge, design.rounds, risen, risen + result!.rounds.length) } : result!, design.units)
    worked.push({ part, from })
    below += part.rounds.length
    tall += part.size.height.cm
    if (above) risen += part.rounds.length
    edge = part.edge
    return part
  }

  const base = take({ id: 'base', name: 'Base', path: ['base'], spec: design.base, saw: [] }, setting => workBase(design.base, setting))
  let stopped = isStopped(base)
  for (const waiting of partsAbove(design, gauge)) {
    if (stopped) break
    stopped = isStopped(take(waiting, setting => waiting.work(edge!, setting)))
  }
  return { parts: worked.map(({ part }) => part), start, worked, gauge, rounds: design.rounds }
}
