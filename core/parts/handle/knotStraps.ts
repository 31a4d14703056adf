import { between as bounds, count, length, pin, want, ways } from '../field/questions'
import { tenths } from '../field/context'
import type { PartSpec } from '../kind/kind'
import type { Finding } from '../part/finding'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../../things/round/edge'
import { FEET, JOIN, leadWords, longEnough, NO_TWIST, sewingWords, widerOnFeet } from './fromRim'
import { between, fitted, strapsTooWide, WHERE } from './onRim'
import { placed, placesNear } from './placing'
import { fractionRound } from '../../things/round/fractionRound'
import { gripBetween, offPlace, rimStitchCm, sts } from './rim'
import { facingBelow } from '../../things/round/style'
import { SLOT_CM } from './slotSpec'
import { STRAP_STITCH, strapLength, widerThanFoot } from './strapLength'
import { type Free, freePart, stripFromRim } from './strip'
import { nothingWorked } from './unworked'

/** How much of the rim each strap goes around, between its feet. */
const AROUND = ways('For how much each goes around, you give', [
  want(
    'centimetres',
    { widthCm: length('Each goes around, between its feet', SLOT_CM, { usually: bounds(1, 25) }) },
    {
      from: (_, { part, gauge }) => ({ widthCm: tenths(((part?.edge.count ?? 60) * gauge.sc.width.cm) / 6, SLOT_CM) }),
    },
  ),
  pin(
    'stitches',
    { stitches: count('Stitches that each goes around', bounds(1, 600), { usually: bounds(1, 40) }) },
    {
      from: (_, { part }) => ({ stitches: Math.max(1, Math.round((part?.edge.count ?? 60) / 6)) }),
    },
  ),
])

const fields = {
  ...FEET, width: AROUND, stitch: STRAP_STITCH, short: strapLength('The short one', { usual: false }),
  long: strapLength('The long one', { piece: 1, usual: false }), join: JOIN, ...WHERE,
} as const

/** A short and a long strap, each around one end of the bag: the long one passes through the short one (craft 10). */
type KnotStrapsSpec = PartSpec<'knot-straps', typeof fields>

/** Works a knot bag's two straps. */
function workKnotStraps(spec: KnotStrapsSpec, edge: Edge, setting: Setting): PartResult {
  const stitchCm = rimStitchCm(edge, setting)
  const spanned = 'pin' in spec.width ? spec.width.pin.stitches : placesNear(edge.count, spec.width.want.widthCm / stitchCm, 'sides')
  const most = Math.floor(edge.count / 2) - 2 * spec.foot - 1
  if (spanned > most) {
    return nothingWorked(edge, setting, [
      strapsTooWide(
        `Two straps that each go around ${spanned} stitches on feet of ${spec.foot} do not fit on ${edge.count} stitches: at most `
        + `${Math.max(0, most)}.`,
        most > 0 ? { label: `Around ${most} stitches`, changes: [{ path: ['width'], value: { pin: { stitches: most } } }] } : undefined,
      ),
    ])
  }
  const wide = Math.min(spec.wide, spec.foot)
  const placing = placed(edge, spanned + 2 * spec.foot, 'sides', spec.nudge)
  const stepCm = setting.gauge[spec.stitch].height.cm
  const made = (['short', 'long'] as const).map((which, i) => {
    const first = placing.firsts[i]!
    const free = longEnough(freePart(spec[which], stepCm, 0), spec.foot, wide, stepCm)
    const worked = stripFromRim(spec.stitch, spec.foot, wide, free.count, spec.colour, setting.gauge)
    const [one, other] = [sts(first, spec.foot, edge.count), sts(first + spec.foot + spanned, spec.foot, edge.count)]
    const name = which === 'short' ? 'Short strap' : 'Long strap'
    const round = (stitch: number) => fractionRound(edge, stitch, facingBelow(setting))
    const piece: Piece = {
      id: which, name, times: 1, ...worked, along: false, colour: spec.colour, lead: leadWords(one, spec.foot), advice: [],
      finish: [NO_TWIST, sewingWords(spec.join, spec.foot), `Its other end goes to ${other}.`],
    }
    const handle: Handle = {
      name, feet: [round(first + spec.foot / 2), round(first + 1.5 * spec.foot + spanned)], lies: 'around',
      lengthCm: free.lengthCm, gapCm: 0, widthCm: worked.widthCm, strands: wide, aboveCm: 0, colour: spec.colour,
      bears: { strands: 'stitches' },
    }
    return { piece, handle, one, other, free }
  })
  const [short, long] = made as [(typeof made)[0], (typeof made)[0]]
  return nothingWorked(
    edge,
    setting,
    [
      {
        code: 'strap-runs', weight: 'note',
        what:
          `Short strap on ${short.one} and ${short.other}, long strap on ${long.one} and ${long.other}: each goes around `
          + `${spanned} stitches at its side, and ${between(placing)} free on each face.`,
      },
      ...offPlace(placing, spec, 'The straps'), ...(spec.wide > spec.foot ? [widerThanFoot(spec.foot)] : []),
      ...knotFindings(short.free, long.free),
    ],
    {
      pieces: made.map(({ piece }) => piece), handles: made.map(({ handle }) => handle), grip: gripBetween(edge, setting, placing),
      advice: [
        `Markers, counted from the start of the last round: ${short.one} and ${short.other} for the short strap, ${long.one} and `
        + `${long.other} for the long one. Flatten the bag: each pair lies one foot upon the other.`,
        'To close the bag, pass the long strap through the short one and pull.',
      ],
    },
  )
}

function knotFindings(short: Free, long: Free): Finding[] {
  if (long.lengthCm >= 1.5 * short.lengthCm) return []
  const count = Math.ceil(short.count * 2)
  return [
    {
      code: 'knot-too-alike', weight: 'watch',
      what: 'The long strap has to pass through the short one and still be carried: make it about twice as long (common practice).',
      fix: { label: `A long strap of ${count} rows`, changes: [{ path: ['long'], value: { pin: { count } } }] },
    },
  ]
}

/** A knot bag's straps (craft 10). */
export const knotStraps = fitted({
  kind: 'knot-straps', name: 'knot straps', fields, tools: ['where-placed'], refusedAs: 'These straps',
  does: 'A short strap around one end of the rim and a long one around the other: the long one passes through the short one.',
  sample: {
    spec: spec => ({
      ...spec, foot: 3, wide: 2, width: { pin: { stitches: 3 } }, short: { want: { dropCm: 2.4 } }, long: { want: { dropCm: 4.6 } },
    }),
  },
  begins: ({ stitch, aroundCm }) => ({
    stitch, width: { want: { widthCm: Math.max(2, tenths(aroundCm / 6, SLOT_CM)) } }, short: { want: { dropCm: 10 } },
    long: { want: { dropCm: 22 } },
  }),
  place: workKnotStraps, strengthen: widerOnFeet,
})
