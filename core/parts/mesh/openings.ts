import type { Gauge } from '../../things/gauge/gauge'
import type { Net, Opening } from '../part/roles'
import { ballThrough, rodThrough } from './diamond'

/** A hole should be this much smaller than what it must keep in: thread wears and knots slip (from memory). */
export const SAFE_SHARE = 0.85

/** The largest hole of a net, whose rows go so far round as it hangs. */
export function netOpening({ loops, loopsCm }: Net, aroundsCm: readonly number[]): Opening {
  return {
    ballCm: Math.max(...loopsCm.map(ballThrough)),
    rodCm: Math.max(...loopsCm.map((loopCm, i) => rodThrough(loopCm, Math.min(loopCm, (aroundsCm[i] ?? 0) / loops)))),
  }
}

/** The hole of a box: as wide as its chains, as tall as a double (craft 8). Its thread gives way to a ball likewise. */
export function boxOpening(chains: number, gauge: Gauge): Opening {
  const [wide, tall] = [chains * gauge.ch.width.cm, gauge.dc.height.cm]
  return { ballCm: (2 * (wide + tall)) / Math.PI, rodCm: Math.min(wide, tall) }
}
