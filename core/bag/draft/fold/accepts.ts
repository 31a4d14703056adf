import type { Design } from '../../design/design'
import { contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import { comesOut } from '../../../parts/wall/wall'

function mouthDivides({ mouth }: Design, count: number): boolean {
  return !mouth || count % mouth.divides === 0
}

/** Whether all the parts above one divide when so many stitches come up to them, the mouth included. */
export function accepts(design: Design, above: number, gauge: Gauge): (count: number) => boolean {
  const rest = design.wall.slice(above)
  const seen = contextsIn(design, gauge)
  return (count) => {
    const out = comesOut(rest, seen, count)
    if ('stuckAt' in out) return false
    return out.steadied || mouthDivides(design, out.count)
  }
}
