import { CM_PER_INCH, formatCm, type Units } from '../../things/measure/format'
import { type Length, relativeUncertainty } from '../../things/measure/length'

/*
 * Whether a measure can be meant
 * ==============================
 *
 * A slip of the tape is seldom small: the other side of the tape was read, the point was forgotten, half the bag or all the way round
 * was measured. Each has a ratio of its own; a measure that is far from what was planned and near one of these is asked about, and so
 * is one that is merely far off. Nothing is refused that could be.
 */

/** A question about a measure, and what may have been meant instead. */
export interface Implausible {
  readonly what: string
  readonly instead?: { readonly label: string, readonly cm: number }
}

/** Nearer than this to what was planned nobody asks: hands differ from swatches by as much (from memory). */
const USUAL_SHARE = 0.25

/** How near a slip has to come to what was planned. */
const NEAR_SHARE = 0.15

interface Slip {
  readonly ratio: number
  readonly asks: string
  readonly label: string
}

/** The other side of the tape was read, and written down as this one. */
const INCHES: Slip = { ratio: 1 / CM_PER_INCH, asks: 'did you mean inches?', label: 'It is in inches' }

/** Slips, each with what the measure then is of what it should be. */
const SLIPS: readonly Slip[] = [
  { ratio: CM_PER_INCH, asks: 'did you read centimetres, and write inches?', label: 'It was read in centimetres' },
  { ratio: 10, asks: 'did you mean millimetres?', label: 'It is in millimetres' },
  { ratio: 0.1, asks: 'is the point in its place?', label: 'Ten times as much' },
  { ratio: 2, asks: 'did you go all the way round, or over both layers?', label: 'Half of it' },
  { ratio: 0.5, asks: 'is it half of it, from the middle to the edge?', label: 'Twice as much' },
]

function near(ratio: number, to: number): boolean {
  return Math.abs(Math.log(ratio / to)) < NEAR_SHARE
}

function shareWords(ratio: number): string {
  if (ratio >= 1.8) return `${ratio.toFixed(1)} times`
  if (near(ratio, 0.5)) return 'half'
  return `${Math.round(ratio * 100)} % of`
}

/**
 * A question about a measure that is far from what was planned; nothing if it may well be so.
 *
 * @param planned what the draft says it should be
 */
export function implausible(cm: number, planned: Length, units: Units): Implausible | undefined {
  if (planned.cm <= 0 || cm <= 0) return undefined
  const ratio = cm / planned.cm
  if (Math.abs(Math.log(ratio)) <= Math.max(USUAL_SHARE, 3 * relativeUncertainty(planned))) return undefined
  const is = `${formatCm(cm, units)} is ${shareWords(ratio)} what your swatch says, ${formatCm(planned.cm, units)}`
  const slips = units === 'cm' ? [INCHES, ...SLIPS] : SLIPS
  const slip = slips.filter(one => near(ratio, one.ratio)).sort((a, b) => off(ratio, a) - off(ratio, b))[0]
  if (!slip) return { what: `${is}: lay the tape on again, or count the rounds.` }
  const meant = Math.round((100 * cm) / slip.ratio) / 100
  return { what: `${is}: ${slip.asks}`, instead: { label: `${slip.label}: ${formatCm(meant, units)}`, cm: meant } }
}

function off(ratio: number, slip: Slip): number {
  return Math.abs(Math.log(ratio / slip.ratio))
}
