import { stitchesOf } from '../../../parts/base/inStitches'
import type { Design } from '../../design/design'
import { contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import type { Finding } from '../../../parts/part/finding'
import type { FabricKind } from '../../../things/stitch/dictionary'
import { mainStitch } from '../../../parts/wall/wall'
import type { GaugeKnowledge } from '../replan/gaugeKnowledge'
import { type DraftPart, wallPartOf } from '../fold/draftPart'
import { patternOfPart, shareOf, textureOf } from '../fold/textures'

function kindsWorked(design: Design, gauge: Gauge): FabricKind[] {
  return [...new Set([...stitchesOf(design.base), ...design.wall.map(spec => mainStitch(spec, contextsIn(design, gauge)))])]
}

function estimated(design: Design, gauge: Gauge): Finding[] {
  return kindsWorked(design, gauge)
    .filter(kind => gauge[kind].known === 'estimated')
    .map(kind => ({
      code: 'gauge-estimated', weight: 'note', part: 'gauge',
      what: `No {${kind}} was measured: its size is estimated from your {${gauge[kind].from}} (ratios by rule of thumb). A swatch in `
        + `{${kind}} makes the sizes surer.`,
    }))
}

function otherWay(design: Design, parts: readonly DraftPart[]): Finding[] {
  const rounds = parts.flatMap(part => part.rounds).filter(({ round }) => round.join !== 'open')
  if (rounds.length === 0) return []
  const turned = 2 * rounds.filter(({ round }) => round.begin.turn).length > rounds.length
  if (!design.gauge.worked || (design.gauge.worked === 'turned') === turned) return []
  return [
    {
      code: 'gauge-other-way', weight: 'watch', part: 'gauge',
      what: `The swatch was worked ${design.gauge.worked}, the bag will be ${turned ? 'turned' : 'unturned'}: rounds may come out a `
        + 'little taller or shorter. Measure the first ten rounds.',
    },
  ]
}

/** Findings about how well the sizes are known. */
export function gaugeFindings(design: Design, gauge: Gauge, parts: readonly DraftPart[], known: GaugeKnowledge): Finding[] {
  if (design.gauge.assumed) {
    return [
      {
        code: 'gauge-assumed', weight: 'watch', part: 'gauge',
        what: 'No swatch yet: every size here is a guess from a usual gauge. Enter what you count on a swatch of your own.',
      },
    ]
  }
  return [...learnt(design), ...estimated(design, gauge), ...texturesEstimated(design, parts, known), ...otherWay(design, parts)]
}

/** Textures that nobody measured yet, each told once. */
function texturesEstimated(design: Design, parts: readonly DraftPart[], known: GaugeKnowledge): Finding[] {
  const told = new Set<string>()
  return parts.flatMap((part): Finding[] => {
    const spec = wallPartOf(part)
    if (!spec || part.rounds.length === 0 || shareOf(known, spec) || !patternOfPart(spec, design.repeats)) return []
    const texture = textureOf(spec)
    if (told.has(texture)) return []
    told.add(texture)
    return [
      {
        code: 'texture-estimated', weight: 'note', part: part.id,
        what: `${part.name}: nobody measured this pattern. It is told as tall and as wide as its stitches would be, and may be some 15 to `
          + `20 % `
          + 'off (a rule of thumb). A swatch of it, or the tape along some rounds of it, makes its sizes surer.',
      },
    ]
  })
}

/** That the gauge is from the maker's own finished bags. */
function learnt({ gauge: { learnt: taught } }: Design): Finding[] {
  if (!taught) return []
  const bags = taught.bags === 1 ? 'your last bag' : `your ${taught.bags} bags`
  return [
    {
      code: 'gauge-learnt', weight: 'note', part: 'gauge',
      what: `Sizes are in the gauge that ${bags} in this yarn and hook taught: good to ± ${taught.widePercent.toFixed(1)} % across and `
        + `± ${taught.tallPercent.toFixed(1)} % up, nine times of ten.`,
    },
  ]
}
