import { SOLID_STITCHES } from '../band/solid'
import { HEIGHT } from '../band/textured'
import { between, choice, count, stitch, yarn } from '../field/questions'
import { times } from '../../things/measure/length'
import { ANY } from '../part/asks'
import { MOST_ROUNDS, stopped, workUp } from '../part/part'
import { each, inOne, type Step, together } from '../../things/round/step'
import { inRow } from '../../things/round/style'
import type { FabricKind } from '../../things/stitch/dictionary'
import { STRIPES } from '../texture/stripes'
import { colourAt, roundsForHeight } from '../texture/workTexture'
import type { FlatBand, FlatKind } from './flatKind'

const fields = {
  size: HEIGHT, stitch: stitch(SOLID_STITCHES),
  way: choice(
    'It gets',
    [
      { value: 'narrower', name: 'narrower', does: 'The first two and the last two of a row drawn together.' },
      { value: 'wider', name: 'wider', does: 'Two in the first and two in the last of a row.' },
    ],
    { begins: 'narrower' },
  ),
  every: count('In every so many rows', between(1, 100), {
    begins: 4, usually: between(1, 8), says: 'Only the last of so many rows changes; the others are plain.',
  }),
  colour: yarn(), stripes: STRIPES,
} as const

/** Plain rows that get narrower or wider at both ends, as a document holds them. */
interface Narrow extends FlatBand {
  readonly stitch: (typeof SOLID_STITCHES)[number]
  readonly way: 'narrower' | 'wider'
  readonly every: number
}

/** A plain row, or one that changes by a stitch at either end. */
function rowSteps(kind: FabricKind, count: number, change: Narrow['way'] | undefined): Step[] {
  if (change === undefined) return [each(kind, count)]
  const [end, used] = change === 'narrower' ? [together(kind), 4] : [inOne(kind, 2), 2]
  return [end, ...(count > used ? [each(kind, count - used)] : []), end]
}

/** Shaping of a flat piece at its sides (craft 5, panels). */
export const narrow: FlatKind = {
  kind: 'narrow', name: 'narrower or wider', does: 'Plain rows that change by a stitch at either end, in every so many rows.', fields,
  asks: () => ANY, begins: ({ stitch: like }) => ({ stitch: like }),
  work: (band, on, setting) => {
    const spec = band as Narrow
    const { width, height } = setting.gauge[spec.stitch]
    const rows = 'pin' in spec.size ? spec.size.pin.rounds : roundsForHeight(spec.size.want.heightCm, () => height.cm)
    const changes = Math.floor(rows / spec.every)
    const left = on.count + (spec.way === 'narrower' ? -2 : 2) * changes
    const size = { height: times(height, Math.min(rows, MOST_ROUNDS)), circumference: times(width, Math.max(left, on.count)) }
    if (left < 2)
      return stopped(on, size, {
        code: 'narrowed-away', weight: 'stop',
        what: `Two stitches fewer in every ${spec.every} rows leave nothing of ${on.count} after ${rows} rows. Change it in fewer rows.`,
      })
    if (rows > MOST_ROUNDS)
      return stopped(on, size, {
        code: 'band-too-tall', weight: 'stop',
        what: `This would take ${rows.toLocaleString('en')} rows. Ask for fewer, or check the swatch.`,
      })
    const { rounds, edge, stop } = workUp(on, rows, setting, (i, below) => {
      const change = (i + 1) % spec.every === 0 ? spec.way : undefined
      return inRow(setting.rounds, setting.rows!, i, spec.stitch, colourAt(spec, i), rowSteps(spec.stitch, below.count, change))
    })
    return { rounds, edge, size, rises: rounds.map(() => height.cm), findings: stop ? [stop] : [] }
  },
}
