import type { Contents } from '../contents/contents'
import type { Gauge } from '../gauge/gauge'
import type { Net } from '../part/part'
import { ballThrough, rodThrough } from './diamond'

/** The holes of a mesh: the largest ball that can be pushed through one, and the largest rod that falls through it untouched. */
export interface Opening {
  readonly ballCm: number
  readonly rodCm: number
}

/** The largest hole of a net, whose rows go so far round as it hangs. */
export function netOpening({ loops, loopsCm }: Net, aroundsCm: readonly number[]): Opening {
  return {
    ballCm: Math.max(...loopsCm.map(ballThrough)),
    rodCm: Math.max(...loopsCm.map((loopCm, i) => rodThrough(loopCm, Math.min(loopCm, (aroundsCm[i] ?? 0) / loops)))),
  }
}

/** The hole of a box: as wide as its chains, as tall as a double (handbook 8). Its thread gives way to a ball likewise. */
export function boxOpening(chains: number, gauge: Gauge): Opening {
  const [wide, tall] = [chains * gauge.ch.width.cm, gauge.dc.height.cm]
  return { ballCm: (2 * (wide + tall)) / Math.PI, rodCm: Math.min(wide, tall) }
}

/**
 * How large a ball would be that is as hard to push through a hole as what the bag must hold: of a box, one with the girth of
 * its smallest side. Folded cloth falls through nothing.
 */
export function leastThrough(contents: Contents): number | undefined {
  switch (contents.kind) {
    case 'balls':
    case 'bottle': return contents.acrossCm
    case 'box': {
      const [a, b] = [contents.lengthCm, contents.widthCm, contents.heightCm].sort((x, y) => x - y) as [number, number, number]
      return (2 * (a + b)) / Math.PI
    }
    case 'cloth': return undefined
  }
}
