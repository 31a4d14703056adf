import { between, count, length, pin, stitch, want, ways } from '../field/questions'
import { type Bounds, type Label, labelFrom } from '../field/field'
import { type QuestionContext, tenths } from '../field/context'
import type { Finding, Fix } from '../part/finding'
import { HAND_DROP_CM, SHOULDER_DROP_CM } from './drop'
import { runsAcross, STRIP_STITCHES } from './strip'

export const DROP_CM: Bounds = between(1, 120)

/** Usual drops to pick from. */
export const USUAL_DROPS = [
  { name: 'in the hand', cm: HAND_DROP_CM },
  { name: 'over the shoulder', cm: SHOULDER_DROP_CM },
]

/** The stitch that a strap, a handle or a tab is worked in. */
export const STRAP_STITCH = stitch(STRIP_STITCHES)

/** Things side by side in a strip: rows, or chains along which it runs. */
function counted(spec: object): 'rows' | 'chains' {
  return 'worked' in spec && !runsAcross(spec) ? 'chains' : 'rows'
}

/** Rows or chains of a piece's free part now: what a pinned length starts from. */
function countNow(spec: object, { part }: QuestionContext, piece: number): number {
  const made = part?.pieces?.[piece]
  const handle = part?.handles?.[piece]
  if (!made || !handle) return 40
  const all = counted(spec) === 'rows' ? made.rows.length : (made.rows[0]?.edge.count ?? 40)
  return Math.max(1, Math.round(all * Math.min(1, handle.lengthCm / made.lengthCm)))
}

/** How long a strap is: long enough to drop so far, or so many rows (worked across) or chains (along). */
export function strapLength(label: string, { piece = 0, usual = true } = {}) {
  const labelled = (what: string): Label => `${label}: ${what}`
  return ways(`${label}: you give`, [
    want(
      'its drop',
      { dropCm: length(labelled('drop, rim to hand'), DROP_CM, { usually: between(1, 40), ...(usual ? { picks: USUAL_DROPS } : {}) }) },
      {
        from: () => ({ dropCm: HAND_DROP_CM }),
      },
    ),
    want(
      'its whole length',
      { totalCm: length(labelled('end to end'), between(3, 400), { usually: between(20, 120) }) },
      {
        does: 'From end to end, what lies on the bag among it.',
        from: (_, { part }) => ({ totalCm: tenths(part?.pieces?.[piece]?.lengthCm ?? 60, between(3, 400)) }),
      },
    ),
    pin(
      labelFrom(counted),
      {
        count: count(
          labelFrom(spec => `${label}: ${counted(spec)}`),
          between(1, 1000),
          { usually: between(1, 60) },
        ),
      },
      {
        from: (spec: object, now) => ({ count: countNow(spec, now, piece) }),
      },
    ),
  ])
}

/** A way to make a strap bear more: wider by one of its figures. */
export function widened(field: string, strands: number | undefined, label: (strands: number) => string): Fix[] {
  return strands === undefined ? [] : [{ label: label(strands), changes: [{ path: [field], value: strands }] }]
}

/** One strap under the bag in the place of what hangs on its rim. */
export function underInstead(colour: string): Fix {
  const strap = {
    kind: 'under-strap', worked: 'along', wide: 8, length: { want: { dropCm: SHOULDER_DROP_CM } }, lines: 2, stitch: 'sc', nudge: 0,
    colour,
  }
  return { label: 'A strap under the whole bag instead', changes: [{ path: [], value: strap }] }
}

/** Strands of a cord or strap that is no wider than its feet. */
export function widerThanFoot(foot: number): Finding {
  return {
    code: 'strap-wider-than-foot', weight: 'watch', what: `A strap cannot be wider than its feet, so it is worked over ${foot} stitches.`,
    fix: { label: `${foot} stitches wide`, changes: [{ path: ['wide'], value: foot }] },
  }
}
