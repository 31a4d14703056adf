import { combinedShare, type Length, withUncertainty } from '../measure/length'
import type { StitchKind } from '../stitch/dictionary'
import type { Gauge, Swatch } from './gauge'

/** The hook, and how many strands are held together. */
export type Hook = Pick<Swatch, 'hookMm' | 'strands'>

/** Further doubt in a gauge on a hook that it was not measured on (craft 4; from memory: as much as in a texture not measured). */
const OTHER_HOOK_SHARE = 0.15

/**
 * A gauge on another hook than it was measured on: stitches as much wider and taller as the hook is thicker (from memory), and in doubt.
 * More strands are taken for what the thicker hook is for: alone they hardly change how large a stitch is drawn.
 *
 * @param swatch the hook that the gauge was measured on
 */
export function gaugeOnHook(gauge: Gauge, swatch: Hook, hook: Hook | undefined): Gauge {
  if (!hook || (hook.hookMm === swatch.hookMm && hook.strands === swatch.strands)) return gauge
  const by = hook.hookMm / swatch.hookMm
  const on = (length: Length): Length =>
    withUncertainty(length.cm * by, combinedShare(length.cm > 0 ? length.plusMinusCm / length.cm : 0, OTHER_HOOK_SHARE))
  const sizes = Object.entries(gauge).map(([kind, size]) => [
    kind,
    { ...size, width: on(size.width), height: on(size.height), known: size.known === 'assumed' ? size.known : ('estimated' as const) },
  ])
  return Object.fromEntries(sizes) as Record<StitchKind, Gauge[StitchKind]>
}
