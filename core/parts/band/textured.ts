import { between, choice, count, figure, length, maybe, pin, want, ways } from '../field/questions'
import { HEIGHT_CM, PINNED_ROUNDS } from '../field/bounds'
import { changed } from '../field/changed'
import type { Fields } from '../field/field'
import { type QuestionContext, tenths } from '../field/context'
import type { Gauge } from '../../things/gauge/gauge'
import { IN_ROUNDS } from '../kind/inRounds'
import { type Declared, type Keeps, kind, type KindGroup, type PartSpec, type Sample, type Tool } from '../kind/kind'
import { times } from '../../things/measure/length'
import { type PartResult, stopped, type WallSetting } from '../part/part'
import type { Opening } from '../part/roles'
import type { Repeat } from '../../things/repeat/repeat'
import type { Edge } from '../../things/round/edge'
import type { Bandlike } from '../texture/bandlike'
import type { TextureSwatch } from '../texture/ownSize'
import { STRIPES } from '../texture/stripes'
import { demandOfTexture, type Texture } from '../texture/texture'
import { workTexture } from '../texture/workTexture'

/** How tall a band is: wanted, or so many rounds. */
export const HEIGHT = ways('You give', [
  want(
    'a height',
    { heightCm: length('Height of this band', HEIGHT_CM, { usually: between(0.2, 30) }) },
    {
      does: 'You say how tall, the rounds are found.',
      from: (_, { part }) => ({ heightCm: tenths(part?.size.height.cm || 6, HEIGHT_CM) }),
    },
  ),
  pin(
    'rounds',
    { rounds: count('Rounds', PINNED_ROUNDS, { usually: between(1, 20) }) },
    {
      does: 'You pin the rounds, the height is told.',
      from: (_, { part }) => ({ rounds: Math.max(1, part?.rounds.length ?? 1) }),
    },
  ),
])

const SWATCH_CM = between(1, 200)

/** A swatch of a texture: what was counted across it and up it. */
export const SWATCH_OF_IT = {
  across: figure('Counted across', between(1, 1000), '', { beside: true, usually: between(4, 40) }),
  overCm: length('Counted over', SWATCH_CM, { beside: true, usually: between(5, 20) }),
  countedIn: choice(
    'What was counted across',
    [
      { value: 'repeats', name: 'repeats' },
      { value: 'stitches', name: 'stitches', does: 'The stitches that its rounds stand on, skipped ones too.' },
    ],
    { begins: 'repeats' },
  ),
  rounds: figure('Rounds', between(1, 1000), '', { beside: true, usually: between(4, 40) }),
  tallCm: length('Tall', SWATCH_CM, { beside: true, usually: between(5, 20) }),
} as const

/** A swatch begins with what the part is told to be: whoever counts puts in what is otherwise. */
function swatchNow(_: object, { part, gauge }: QuestionContext): TextureSwatch {
  const [below, worked] = [part?.rounds[0]?.on.count ?? 0, part?.rounds.length ?? 0]
  const stitchCm = part && below > 0 ? part.size.circumference.cm / below : gauge.sc.width.cm
  const roundCm = part && worked > 0 ? part.size.height.cm / worked : gauge.sc.height.cm
  const counted = (cm: number) => Math.max(4, Math.round(10 / cm))
  const over = (count: number, cm: number) => tenths(count * cm, SWATCH_CM)
  const [across, rounds] = [counted(stitchCm), counted(roundCm)]
  return { across, countedIn: 'stitches', overCm: over(across, stitchCm), rounds, tallCm: over(rounds, roundCm) }
}

const SWATCH = maybe('A swatch of it', SWATCH_OF_IT, {
  without: { name: 'none', does: 'Its size is estimated from its stitches; a pattern of several may be 15 % off either way.' },
  having: { name: 'counted', does: 'Its sizes are told as the swatch has them, wherever it comes in this bag.' },
  says: 'What was counted on a swatch of this texture; all parts in the same texture are told by it.',
  begin: swatchNow,
})

const BANDED = { size: HEIGHT, stripes: STRIPES, ...IN_ROUNDS, swatch: SWATCH } as const

/** The spec of a band: what its kind asks, and what every band says. */
type BandSpec<B extends string, F> = PartSpec<B, F & typeof BANDED> & Bandlike

/** A band of a stitch pattern: what its kind says besides the pattern. */
interface TexturedBand<B extends string, F extends Fields, S = BandSpec<B, F>> {
  readonly kind: B
  readonly group: KindGroup
  readonly name: string
  readonly does: string
  title?(spec: S, repeats: readonly Repeat[]): string
  readonly fields: F
  readonly tools?: readonly Tool[]
  readonly sample?: Sample<S>
  begins?(keeps: Keeps): Partial<S>
  /** Its pattern; none where a repeat of the maker's cannot be worked. */
  texture(spec: S, repeats: readonly Repeat[]): Texture | undefined
  /** Its pattern to and fro, if it can be worked so. */
  inRows?(spec: S, repeats: readonly Repeat[]): Texture | undefined
  opening?(spec: S, gauge: Gauge): Opening
  readonly plain?: true
}

/** The swatch of the bag is one of plain stitches already, as long as they are worked on its hook. */
const PLAINLY_BANDED: typeof BANDED = { ...BANDED, swatch: { ...SWATCH, when: spec => 'hook' in spec || 'swatch' in spec } }

/** Declares a band of a stitch pattern: it has a height and a yarn, or stripes, and `workTexture` works it. */
export function textured<const B extends string, const F extends Fields>(
  { opening, begins = () => ({}), tools = [], sample, ...named }: TexturedBand<B, F>,
): Declared<B, F & typeof BANDED> {
  const texture = named.texture.bind(named)
  return kind<B, F & typeof BANDED>({
    ...named, fields: { ...named.fields, ...(named.plain ? PLAINLY_BANDED : BANDED) }, tools: [...tools, 'stripes'],
    sample: sample ?? { on: 'itself' },
    begins: (keeps) => {
      const own: Partial<BandSpec<B, F>> = begins(keeps)
      return changed(own, { size: keeps.size, ...keeps.yarn, ...own })
    },
    demand: (spec: BandSpec<B, F>, { repeats }) => {
      const found = texture(spec, repeats)
      return found && demandOfTexture(found)
    },
    main: (spec: BandSpec<B, F>, { repeats }) => texture(spec, repeats)?.main ?? 'sc',
    work: (spec: BandSpec<B, F>, edge, setting) => {
      const found = texture(spec, setting.repeats)
      if (!found) return broken(edge, setting)
      const result = workTexture(found, spec, edge, setting)
      return opening ? { ...result, opening: opening(spec, setting.gauge) } : result
    },
  })
}

/** A band in a repeat of the maker's that cannot be worked. */
function broken(edge: Edge, { gauge: { sc } }: WallSetting): PartResult {
  return stopped(
    edge,
    { height: times(sc.height, 0), circumference: times(sc.width, edge.count) },
    {
      code: 'own-broken', weight: 'stop',
      what: 'This band is in a repeat of your own that cannot be worked as it is written. Mend the repeat, or give the band another.',
    },
  )
}
