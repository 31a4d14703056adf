import type { Length } from './length'

/** Marks of the maker's tape. */
export type Units = 'cm' | 'in'

/** Centimetres in an inch: exact by the international yard and pound agreement of 1959. */
export const CM_PER_INCH = 2.54

const EIGHTHS = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'] as const

/**
 * Inches as makers read them off a tape: whole inches and eighths, `4 3/4`.
 * A length under a sixteenth of an inch reads `0`.
 */
export function inEighths(cm: number): string {
  const eighths = Math.round((Math.abs(cm) / CM_PER_INCH) * 8)
  const whole = Math.floor(eighths / 8)
  const part = EIGHTHS[eighths % 8]!
  const sign = cm < 0 && eighths > 0 ? '-' : ''
  if (whole === 0) return sign + (part || '0')
  return sign + (part ? `${whole} ${part}` : `${whole}`)
}

/** A number of centimetres to the millimetre, without a trailing zero: `12.4`, `26`. */
function inMillimetreSteps(cm: number): string {
  const rounded = Math.round(cm * 10) / 10
  return Object.is(rounded, -0) ? '0' : String(rounded)
}

/** The bare figure of a length in the maker's units, with no unit behind it. */
export function figure(cm: number, units: Units): string {
  return units === 'in' ? inEighths(cm) : inMillimetreSteps(cm)
}

/** A length as it stands in a field: as `figure`, and a sixteenth of an inch where it is one, so that what was typed stays. */
export function fieldFigure(cm: number, units: Units): string {
  const sixteenths = (cm / CM_PER_INCH) * 16
  const odd = Math.round(sixteenths)
  if (units === 'cm' || odd % 2 === 0 || Math.abs(sixteenths - odd) > 0.01) return figure(cm, units)
  const whole = Math.trunc(odd / 16)
  return `${whole === 0 ? '' : `${whole} `}${Math.abs(odd) % 16}/16`
}

/** `12.4 cm` or `4 7/8 in`. */
export function formatCm(cm: number, units: Units): string {
  return `${figure(cm, units)} ${units}`
}

/**
 * A length with its uncertainty: `26 ± 0.6 cm`, `10 1/4 ± 1/4 in`. The uncertainty rounds up, never to nothing:
 * a millimetre, or an eighth of an inch, is the least a tape can promise.
 */
export function formatLength(length: Length, units: Units): string {
  if (length.plusMinusCm === 0) return formatCm(length.cm, units)
  const step = units === 'in' ? CM_PER_INCH / 8 : 0.1
  const plusMinus = Math.max(1, Math.ceil(length.plusMinusCm / step - 1e-9)) * step
  return `${figure(length.cm, units)} ± ${figure(plusMinus, units)} ${units}`
}

/** Inches to the hundredth, for what is too fine for a tape: `0.10 in`. */
export function inHundredthsOfAnInch(cm: number): string {
  return `${(cm / CM_PER_INCH).toFixed(2)} in`
}
