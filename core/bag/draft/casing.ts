import type { Design } from '../design/design'
import { tape } from '../../things/stitch/translate'
import type { Gauge } from '../../things/gauge/gauge'
import { type Cord, cordsYarn, drawstring, openingCord, type YarnLength } from '../../parts/mouth/cords'
import { drawnBy, type GatheredEdge, THICK_SHARE } from '../../parts/mouth/drawn'
import { type Threading, thread } from '../../parts/mouth/threading'
import { asPartOf } from '../design/partIds'
import type { WallSpec } from '../../parts/wall/wall'
import type { Finding, Fix } from '../../parts/part/finding'
import type { CordsSpec } from '../../parts/part/roles'
import type { Bag } from './findings/judge'
import type { DraftPart } from './fold/draftPart'

/** A casing with its cords, as drafted. */
export interface Casing {
  readonly part: DraftPart
  readonly spec: CordsSpec
  /** The eyelets that cords run through, an even number. */
  readonly eyelets: number
  /** One more that is passed over, where a miscount left an odd number. */
  readonly passedOver: 0 | 1
  readonly mouthCm: number
  readonly threading: Threading
  readonly cord: Cord
  readonly opening?: Cord
  readonly gathered: GatheredEdge
  readonly yarns: readonly YarnLength[]
}

/** Every casing of a bag that has cords. */
export function casingsOf(parts: readonly DraftPart[], gauge: Gauge): Casing[] {
  return parts.flatMap((part): Casing[] => {
    if (!part.casing?.cords) return []
    const { cords } = part.casing
    const passedOver = part.casing.eyelets % 2 === 1 ? 1 : 0
    const eyelets = part.casing.eyelets - passedOver
    const mouthCm = part.size.circumference.cm
    const cord = drawstring(cords, mouthCm, gauge)
    return [
      {
        part, spec: cords, eyelets, passedOver, mouthCm, cord,
        threading: thread(eyelets, cords.number, cords.second), yarns: cordsYarn(cords,
          mouthCm, gauge),
        ...(cords.opening ? { opening: openingCord(cords, gauge) } : {}),
        gathered: {
          mouthCm, eyelets, fabricCm: THICK_SHARE * gauge.sc.width.cm, cords: cords.number, cordCm: cord.thickCm, lengthCm: cord.lengthCm,
        },
      },
    ]
  })
}

/**
 * A loop or a free end longer than this can go round a small neck: the limit for cords on toys for children under three in
 * EN 71-1 (from memory; check your local rules).
 */
const FREE_CM = 22

function cautions({ part, spec, gathered, cord }: Casing, design: Design): Finding[] {
  const tight = drawnBy(gathered, 1).tailCm
  const free = Math.max(tight, cord.tailCm)
  if (!design.forChild && free <= 2 * FREE_CM) return []
  const told = `Pulled tight, each end of the cords hangs out ${tape(tight)}.`
  const rule
    = `Cords and loops can strangle, beads can be swallowed: never on a cot or a young child's bag. EN 71-1 allows cords of `
      + `${tape(FREE_CM)} on toys for children under three (EN 71-1, toys); goods for children fall under your local `
      + 'safety law, which decides.'
  const shorter = Math.max(2, Math.floor(cord.tailCm - (tight - FREE_CM)))
  return [
    {
      code: design.forChild ? 'cords-for-a-child' : 'cords-long', weight: 'caution', part: part.id, what: `${told} ${rule}`,
      ...(tight > FREE_CM && shorter < cord.tailCm && 'want' in spec.size
        ? {
            fix: {
              label: `Ends of ${tape(shorter)}`,
              changes: [{ path: ['wall', part.id, 'cords', 'size'], value: { want: { tailCm: shorter } } }],
            },
          }
        : {}),
    },
  ]
}

function lengths({ part, cord, mouthCm, gathered }: Casing): Finding[] {
  const mouths = cord.lengthCm / mouthCm
  const { openingCm, tailCm } = drawnBy(gathered, 1)
  const usual
    = mouths < 1.3
      ? 'That is short: the bag may not open all the way, or the ends slip in.'
      : mouths > 2.4
        ? 'That is long.'
        : 'Usual is 1.6 to 2 (common practice).'
  return [
    {
      code: mouths < 1.3 ? 'cord-short' : 'cord-length', weight: mouths < 1.3 ? 'watch' : 'note', part: part.id,
      what: `Each cord is ${tape(cord.lengthCm)} long, ${mouths.toFixed(1)} times round the mouth. ${usual}`,
    },
    {
      code: 'mouth-closes', weight: 'note', part: part.id,
      what:
        `Pulled tight, the mouth closes to a hole of about ${tape(openingCm)}, and each end hangs out `
        + `${tape(tailCm)}. An estimate: posts side by side, each as thick as the fabric, and the cords within (a `
        + 'rule of thumb).',
    },
  ]
}

/** A casing that nothing stands on: makers put a rim or an edging above it, which keeps the mouth from curling. */
function bare({ part }: Casing, { wall }: Design): Finding[] {
  if (wall.at(-1)?.id !== part.id || part.rounds.length === 0) return []
  const colour = wall.at(-1)!.colour
  const above = (spec: WallSpec, label: string): Fix => ({ label, changes: [{ path: ['wall'], value: [...wall, asPartOf(wall, spec)] }] })
  return [
    {
      code: 'casing-bare', weight: 'note', part: part.id,
      what: 'Nothing stands above this casing: a few rounds or an edging keep the mouth from curling, and hide the cords.',
      fix: above({ kind: 'ruffle', stitch: 'sc', inEach: 2, every: 3, colour }, 'A ruffle above it'),
      otherFixes: [above({ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 3 } }, colour }, 'Three plain rounds above it')],
    },
  ]
}

/** Findings about casings. */
export function casingFindings({ design, parts, gauge }: Bag): Finding[] {
  return casingsOf(parts, gauge).flatMap(casing => [...cautions(casing, design), ...lengths(casing), ...bare(casing, design)])
}
