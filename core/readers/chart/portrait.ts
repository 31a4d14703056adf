import type { Draft, DraftPart } from '../../bag/draft/draft'
import { casingsOf } from '../../bag/draft/casing'
import { formatCm } from '../../things/measure/format'
import { isRounded, standing } from '../../parts/part/floor'
import { floorShort } from '../words/floorWords'
import { closureFronts } from './closures'
import { cordsFront } from './cords'
import { type CourseBand, courseBands } from './courseBands'
import { type Course, elevation } from './elevation'
import { handleFronts } from './handles'
import { isArched, openingPath, rimCourse, silhouette } from './silhouette'

/*
 * A bag small enough for a shelf of two thousand: its outline and what it wears, in a few paths, and its facts in a line. It is made once
 * for every state that is kept, so that lists draft nothing.
 */

/** Sorts of layers of a portrait: the dark of the mouth, fabric with its rows, a net with its cords, things behind or before. */
type LayerKind = 'inside' | 'fabric' | 'net' | 'strap' | 'behind' | 'bought' | 'cord' | 'button'

/** One layer, in centimetres with the floor's middle at (0, 0), y downwards; drawn in their order. */
export interface Layer {
  readonly as: LayerKind
  readonly path: string
  readonly colour: string
  /** Of what is drawn as a line: how wide it is. */
  readonly wideCm?: number
  /** Of fabric and nets: the lines of its rows or cords; of fabric how long a stitch is along them. */
  readonly lines?: string
  readonly stitchCm?: number
}

/** A bag as it stands on the shelf. */
export interface Portrait {
  readonly wideCm: number
  readonly tallCm: number
  /** Its walls curve away at both sides. */
  readonly round: boolean
  readonly layers: readonly Layer[]
  readonly facts: string
  readonly rounds: number
  readonly stitches: number
  /** Why it is no whole bag yet, where the draft stops. */
  readonly stop?: string
}

/** So many lines at most show that a band is worked in rows; of a bag with more bands than a shelf can show, just a few. */
const MOST_LINES = 28
const FEW_LINES = 3
const MOST_BANDS = 12
const MOST_LAYERS = 60

const tenth = (value: number) => Math.round(value * 10) / 10
const n = (value: number) => String(tenth(value))
const rounded = (path: string) => path.replace(/-?\d*\.\d+/g, figure => n(Number(figure)))

/** A band, and how many lines of it are drawn at most. */
interface Band extends CourseBand {
  readonly most: number
}

function bandsOf(courses: readonly Course[]): Band[] {
  const bands = courseBands(courses)
  return bands.map(band => ({ ...band, most: bands.length > MOST_BANDS ? FEW_LINES : MOST_LINES }))
}

const half = ({ outline }: Course) => outline.lengthCm / 2

/** Every so many of a list, the last one with them, so that few are left. */
function someOf<T>(list: readonly T[], most: number): T[] {
  const step = Math.ceil(list.length / most)
  return list.filter((_, i) => i % step === 0 || i === list.length - 1)
}

/** The lines between a band's rows. */
function rowsOf({ courses, most }: Band): string {
  const flat = someOf(courses, most).filter(course => !isArched(course))
  return flat.map(course => `M${n(-half(course))} ${n(-course.bottomCm)}h${n(2 * half(course))}`).join('')
}

/** The cords of a net: each runs up the band by half a loop a round, to one side and to the other. */
function cordsOf({ courses, most }: Band): string {
  const first = courses[0]!
  const tallCm = courses.reduce((sum, { heightCm }) => sum + heightCm, 0)
  const widest = Math.max(...courses.map(half))
  const loops = Math.min(MOST_LINES, Math.max(2, first.worked.edge.count / 2))
  const loopCm = (2 * widest) / loops
  const asideCm = (courses.length * loopCm) / 2
  const feet: number[] = []
  for (let x = -widest - asideCm; x < widest; x += loopCm) feet.push(x)
  // What leans one way is met by its mirror image. Of many bands just a few are drawn.
  return someOf(feet, most === FEW_LINES ? FEW_LINES : 2 * most)
    .flatMap(x => [[x, asideCm], [-x, -asideCm]] as const)
    .map(([foot, aside]) => `M${n(foot)} ${n(-first.bottomCm)}l${n(aside)} ${n(-tallCm)}`)
    .join('')
}

function bandLayer(band: Band, colour: string): Layer {
  const first = band.courses[0]!
  const net = first.worked.round.inLoops
  return {
    as: net ? 'net' : 'fabric', path: rounded(silhouette(someOf(band.courses, band.most), band.below)), colour,
    lines: net ? cordsOf(band) : rowsOf(band),
    stitchCm: Math.round(Math.max(0.25, (2 * first.outline.lengthCm) / first.worked.edge.count) * 100) / 100,
  }
}

/** Casings with cords hanging out, the mouth open. */
function hangingCords(draft: Draft, courses: readonly Course[], yarn: (id: string) => string): Layer[] {
  const below = (part: DraftPart) => draft.parts.slice(0, draft.parts.indexOf(part)).reduce((sum, { size }) => sum + size.height.cm, 0)
  return casingsOf(draft.parts, draft.gauge).flatMap((casing) => {
    const heightCm = below(casing.part) + casing.part.size.height.cm / 2
    const course = courses.find(({ bottomCm, heightCm: tall }) => bottomCm + tall >= heightCm - 1e-6)
    if (!course) return []
    const side = draft.design.hands === 'left' ? 1 : -1
    return cordsFront(casing, { heightCm, outline: course.outline, shape: course.shape, side, turn: course.turn }, 0, 1).map(cord => ({
      as: 'cord' as const, path: rounded(cord.over + cord.ends), colour: yarn(cord.colour), wideCm: Math.round(cord.thickCm * 100) / 100,
    }))
  })
}

function factsOf({ sizes, design }: Draft): string {
  const handles = sizes.withHandles ? ` (${formatCm(sizes.withHandles.emptyCm, design.units)} with handles)` : ''
  return `${floorShort(sizes.floor, design.units)}, ${formatCm(sizes.height.cm, design.units)} tall${handles}, ${sizes.rounds} rounds`
}

/** Draws a bag for the shelf. */
export function portraitOf(draft: Draft): Portrait {
  const colours = new Map(draft.design.yarns.map(({ id, colour }) => [id, colour]))
  const yarn = (id: string) => colours.get(id) ?? '#cccccc'
  const courses = elevation(draft)
  const rim = rimCourse(courses)
  const opening = rim && openingPath(rim)
  const straps = handleFronts(draft, 'held', courses).map(({ path, widthCm, colour, bought, behind }): Layer => ({
    as: bought ? 'bought' : behind ? 'behind' : 'strap', path: rounded(path), colour: yarn(colour), wideCm: Math.round(widthCm * 10) / 10,
  }))
  const closures = closureFronts(draft, courses).flatMap(({ path, widthCm, colour, button }): Layer[] => [
    { as: 'strap', path: rounded(path), colour: yarn(colour), wideCm: Math.round(widthCm * 10) / 10 },
    ...(button ? [{ as: 'button' as const, path: `M${n(button.x)} ${n(button.y)}h0`, colour: '', wideCm: 2 * button.radiusCm }] : []),
  ])
  const { sizes } = draft
  const stop = draft.findings.find(({ weight }) => weight === 'stop')
  return {
    wideCm: tenth(Math.max(1, ...courses.map(({ outline }) => outline.lengthCm), standing(sizes.floor, sizes.mouth.cm).lengthCm)),
    tallCm: tenth(Math.max(1, sizes.withHandles?.emptyCm ?? sizes.height.cm)),
    round: isRounded(sizes.floor),
    facts: factsOf(draft), rounds: sizes.rounds, stitches: sizes.stitches,
    layers: [
      ...straps.filter(({ as }) => as === 'behind'),
      ...(opening ? [{ as: 'inside' as const, path: rounded(opening), colour: yarn(rim.colour) }] : []),
      ...bandsOf(courses).map(band => bandLayer(band, yarn(band.courses[0]!.colour))), ...hangingCords(draft, courses, yarn),
      ...straps.filter(({ as }) => as !== 'behind'), ...closures,
    ].slice(0, MOST_LAYERS),
    ...(stop ? { stop: stop.what } : {}),
  }
}
