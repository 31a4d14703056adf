import { workBase } from '../../../parts/base/base'
import type { TapeMeasurement } from '../../../parts/base/form'
import { pinned } from '../../../parts/base/sizing'
import type { Design } from '../../design/design'
import { gaugeOf } from '../../../things/gauge/gauge'
import type { Fix } from '../../../parts/part/finding'
import { baseSetting } from '../../design/partContexts'

/** The finished base measured: its counts pinned, as the swatch alone has them, since that is what was worked. */
export function baseMeasured(design: Design, taped: TapeMeasurement): Fix {
  const { base } = design
  const setting = baseSetting(design, gaugeOf(design.gauge))
  const worked = workBase(base, setting)
  return {
    label: 'Measured base',
    changes: [
      { path: ['base'], value: pinned(base, setting, worked) },
      { path: ['measuredBase'], value: { ...taped, rounds: worked.rounds.length, stitches: worked.edge.count } },
    ],
  }
}
