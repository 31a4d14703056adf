import { withParts } from '../../design/partIds'
import { tape } from '../../../things/stitch/translate'
import type { Design, WallPart } from '../../design/design'
import { contextsIn } from '../../design/partContexts'
import type { Gauge } from '../../../things/gauge/gauge'
import type { Finding, Fix } from '../../../parts/part/finding'
import { adjustedTo } from '../../../parts/wall/adjusted'
import { mainStitch } from '../../../parts/wall/wall'
import { accepts } from '../fold/accepts'
import type { DraftPart } from '../fold/draftPart'

/** How far an adjusting round may be looked for: further than this nobody would adjust. */
const FURTHEST = 60

function nearest(count: number, by: 1 | -1, good: (count: number) => boolean): number | undefined {
  for (let n = 1; n <= FURTHEST && count + by * n >= 3; n++) if (good(count + by * n)) return count + by * n
  return undefined
}

/** A wall with an adjusting round before one of its parts, in the stitch and yarn of what lies below. */
function withAdjusting(design: Design, before: number, stitches: number, gauge: Gauge): readonly WallPart[] {
  const below = design.wall[before - 1] ?? design.wall[before]
  const stitch = below ? mainStitch(below, contextsIn(design, gauge)) : design.base.stitch
  const round = adjustedTo({ pin: { stitches } }, stitch, below?.colour ?? design.base.colour)
  return withParts(design.wall, [{ at: before, spec: round }])
}

/**
 * The ways to make a band divide that what stands above it allows too: an adjusting round to the nearest number below, or
 * above, each with what it costs round the bag.
 */
function fixesFor(design: Design, wall: number, count: number, gauge: Gauge): { fix?: Fix, otherFixes?: Fix[] } {
  const good = accepts(design, wall, gauge)
  const fixes = ([-1, 1] as const)
    .map(by => nearest(count, by, good))
    .filter(to => to !== undefined)
    .map((to): Fix => {
      const width = gauge[mainStitch(design.wall[wall]!, contextsIn(design, gauge))].width.cm
      const change = to - count
      const cost = tape((Math.abs(change) * width) / 2)
      return {
        label: `${Math.abs(change)} ${change > 0 ? 'more' : 'fewer'} in a round below: ${to}, right for all above, ${cost} `
          + `${change > 0 ? 'wider' : 'narrower'} lying flat`,
        changes: [{ path: ['wall'], value: withAdjusting(design, wall, to, gauge) }],
      }
    })
  const [fix, ...otherFixes] = fixes.sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
  return { ...(fix ? { fix } : {}), ...(otherFixes.length > 0 ? { otherFixes } : {}) }
}

/** The wall's ways to mend a finding, and those that the part itself offered behind them. */
function withOwn(found: { fix?: Fix, otherFixes?: Fix[] }, { otherFixes: own = [] }: Finding): { fix?: Fix, otherFixes?: Fix[] } {
  const [fix, ...otherFixes] = [...(found.fix ? [found.fix] : []), ...(found.otherFixes ?? []), ...own]
  return { ...(fix ? { fix } : {}), ...(otherFixes.length > 0 ? { otherFixes } : {}) }
}

/** Findings of parts with the ways to mend those that do not divide, which take the whole wall to see. */
export function withWallFixes(design: Design, parts: readonly DraftPart[], gauge: Gauge): Finding[] {
  return parts.flatMap(({ from, findings, edge }) =>
    findings.map(finding =>
      finding.code === 'does-not-divide' && from.wall
        ? { ...finding, ...withOwn(fixesFor(design, from.index, edge.count, gauge), finding) }
        : finding,
    ),
  )
}
