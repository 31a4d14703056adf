import { between as bounds, choice, count, optional } from '../field/questions'
import { asksOfBands, countNear, workFlat } from '../flat/flat'
import { bandsField, type FlatBand, stackedOr } from '../flat/kinds'
import type { PartSpec } from '../kind/kind'
import type { Finding } from '../part/finding'
import type { Handle } from '../part/handle'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import { type Edge, foundation } from '../../things/round/edge'
import { FEET, JOIN, leadWords, longEnough, NO_TWIST, sewingWords, widerOnFeet } from './fromRim'
import { between, fitted, markerPlan, middleWay, strapsTooWide, WHERE } from './onRim'
import { acrossAt, type Placing, placed } from './placing'
import { gripBetween, offPlace, rimStitchCm, sts } from './rim'
import { STRAP_STITCH, strapLength, widerThanFoot } from './strapLength'
import { freeCm, freePart, type Strip, stripFromRim } from './strip'
import { nothingWorked } from './unworked'

const isTextured = (spec: object): boolean => (spec as { readonly worked?: string }).worked === 'bands'
const isOverFaces = (spec: object): boolean => (spec as { readonly over?: string }).over === 'faces'

const fields = {
  over: optional(
    choice(
      'It goes',
      [
        { value: 'sides', name: 'from side to side' },
        { value: 'faces', name: 'from front to back', does: 'Across the mouth; several lie side by side.' },
      ],
    ),
  ),
  number: optional(count('Straps side by side', bounds(1, 8), { usually: bounds(1, 3), when: isOverFaces })),
  ...FEET, stitch: STRAP_STITCH, length: strapLength('Its length'),
  worked: optional(
    choice(
      'Its rows are',
      [
        { value: 'plain', name: 'plain' },
        {
          value: 'bands', name: 'in a texture',
          does: 'Bands of any stitches on the stitches of the foot; the last one goes on until it is long enough.',
        },
      ],
    ),
  ),
  bands: optional({ ...bandsField('Its bands', 'The bands of a strap in a texture, from its foot on.'), when: isTextured }),
  from: optional(
    choice(
      'It grows from',
      [
        { value: 'near', name: 'where the rounds start', does: 'The foot nearest to the start of the rounds.' },
        { value: 'far', name: 'the opposite side' },
      ],
    ),
  ),
  goesOn: optional(
    choice(
      'It is begun',
      [
        { value: false, name: 'with the yarn joined anew' },
        {
          value: true, name: 'without cutting',
          does: 'Slip stitches along the rim bring the yarn to its foot: two ends fewer to weave in.',
        },
      ],
    ),
  ),
  join: JOIN, ...WHERE,
} as const

/** Straps grown from the rim, over the mouth to the other side of it (craft 10). */
type GrownStrapSpec = PartSpec<'grown-strap', typeof fields>

/** A strap's two feet on the rim: the places that each begins at. */
type Feet = readonly [number, number]

/** Where the straps' feet are: at the sides, or so many side by side from face to face. */
function feetOf(spec: GrownStrapSpec, edge: Edge, foot: number, placing: Placing): Feet[] {
  const found = spec.over === 'faces'
    ? Array.from({ length: spec.number ?? 1 }, (_, i) => acrossAt(edge, foot, (i + 0.5) / (spec.number ?? 1), spec.nudge))
    : [placing.firsts]
  return found.map(([one, other]) => (spec.from === 'far' ? [other, one] : [one, other]))
}

/** The stitches of a foot: as asked, or in a texture the nearest that its rows take. */
function footOf(spec: GrownStrapSpec, { repeats = [] }: Setting): { readonly foot: number } | { readonly trouble: string } {
  if (spec.worked !== 'bands') return { foot: spec.foot }
  const asks = asksOfBands(bandsOf(spec), repeats)
  return 'trouble' in asks ? asks : { foot: countNear(spec.foot, asks.asks) }
}

function bandsOf({ bands, stitch, colour }: GrownStrapSpec): readonly FlatBand[] {
  return stackedOr(bands, stitch, colour)
}

/** A strap on its foot, so long that it drops as asked: plain, drawing in to its width and out again, or in bands. */
function made(spec: GrownStrapSpec, foot: number, gapCm: number, setting: Setting): Strip & { readonly stop?: Finding } {
  const { gauge } = setting
  const stepCm = gauge[spec.stitch].height.cm
  if (spec.worked !== 'bands') {
    const wide = Math.min(spec.wide, foot)
    const free = longEnough(freePart(spec.length, stepCm, gapCm), foot, wide, stepCm)
    return stripFromRim(spec.stitch, foot, wide, free.count, spec.colour, gauge)
  }
  const until = 'pin' in spec.length ? { rows: spec.length.pin.count } : { heightCm: Math.max(stepCm, freeCm(spec.length.want, gapCm, 0)) }
  const { rows, height, width, findings } = workFlat(bandsOf(spec), foundation('stitch', foot, false), setting, { below: 0 }, until)
  const stop = findings.find(({ weight }) => weight === 'stop')
  return { ...(stop ? { stop } : {}), start: { kind: 'chain', chains: 0 }, rows, lengthCm: height.cm, widthCm: width.cm }
}

/** Stitches side by side in a strap on so wide a foot. */
function strandsIn({ worked, wide }: GrownStrapSpec, foot: number): number {
  return worked === 'bands' ? foot : Math.min(wide, foot)
}

/** How a strap is begun: the yarn joined anew, or brought along from the end of the last round. */
function leadOf({ goesOn }: GrownStrapSpec, at: string, foot: number): string {
  return goesOn
    ? `Do not cut the yarn: with {slst} along the rim go on to ${at} of the last round, and work the first row over these ${foot} `
    + 'stitches, right side facing.'
    : leadWords(at, foot)
}

/** Why feet do not fit on a rim. */
function noRoom(spec: GrownStrapSpec, foot: number, number: number, { count: stitches }: Edge): Finding | undefined {
  const most = Math.floor((stitches / 2 - 1) / number)
  if (foot <= most) return undefined
  const narrower = [{ path: ['foot'], value: most }, { path: ['wide'], value: Math.min(spec.wide, most) }]
  return strapsTooWide(
    `${number === 1 ? 'Two' : 2 * number} feet of ${foot} stitches do not fit on ${stitches}: at most ${most} each.`,
    most < 2 ? undefined : { label: `Feet of ${most}`, changes: narrower },
  )
}

/** Works straps from side to side, or from face to face. */
function workGrownStrap(spec: GrownStrapSpec, edge: Edge, setting: Setting): PartResult {
  const found = footOf(spec, setting)
  if ('trouble' in found) return nothingWorked(edge, setting, [{ code: 'bands-disagree', weight: 'stop', what: found.trouble }])
  const { foot } = found
  const number = spec.over === 'faces' ? (spec.number ?? 1) : 1
  const tooWide = noRoom(spec, foot, number, edge)
  if (tooWide) return nothingWorked(edge, setting, [tooWide])
  const stitchCm = rimStitchCm(edge, setting)
  const placing = placed(edge, foot, 'sides', spec.over === 'faces' ? 0 : spec.nudge)
  const gapCm = spec.over === 'faces' ? (setting.floor?.width.cm || 2 * stitchCm) : Math.min(...placing.gaps) * stitchCm
  const { stop, ...strap } = made(spec, foot, gapCm, setting)
  if (stop) return nothingWorked(edge, setting, [stop])
  const all = feetOf(spec, edge, foot, placing)
  const spots = all.map(pair => pair.map(first => sts(first, foot, edge.count)) as [string, string])
  const name = (i: number) => (number > 1 ? `Strap ${i + 1}` : 'Strap')
  const drawsIn = spec.worked !== 'bands' && foot > spec.wide
  const pieces = spots.map(([one, other], i): Piece => ({
    id: number > 1 ? `strap-${i + 1}` : 'strap', name: name(i), times: 1, ...strap, along: false, colour: spec.colour,
    lead: leadOf(i === 0 ? spec : { ...spec, goesOn: false }, one, foot), ...(spec.goesOn && i === 0 ? { goesOn: true as const } : {}),
    advice: drawsIn ? [`It draws in to ${spec.wide} stitches, runs at that, and opens out to ${foot} again.`] : [],
    finish: [NO_TWIST, sewingWords(spec.join, strap.rows.at(-1)?.edge.count ?? foot), `Its other end goes to ${other}.`],
  }))
  const handles = all.map(([first, second], i): Handle => ({
    name: name(i), feet: [middleWay(edge, setting, first, foot), middleWay(edge, setting, second, foot)], lies: 'over',
    lengthCm: strap.lengthCm, gapCm, widthCm: strap.widthCm, strands: strandsIn(spec, foot), aboveCm: 0, colour: spec.colour,
    bears: { strands: 'stitches' },
  }))
  const runs: Finding = {
    code: 'strap-runs', weight: 'note',
    what: `Feet on ${spots.map(pair => pair.join(' and ')).join('; ')}${number === 1 ? `: ${between(placing)} between them` : ''}. `
      + `${strap.rows.length} rows.`,
  }
  return nothingWorked(
    edge,
    setting,
    [
      runs, ...(spec.over === 'faces' ? [] : offPlace(placing, spec, 'The feet')),
      ...(spec.worked !== 'bands' && spec.wide > foot ? [widerThanFoot(foot)] : []),
    ],
    {
      pieces, handles, ...(spec.over === 'faces' ? {} : { grip: gripBetween(edge, setting, placing) }),
      advice: markerPlan(spots.flat(), placing),
    },
  )
}

/** Straps grown from the rim (craft 10). */
export const grownStrap = fitted({
  kind: 'grown-strap', name: 'grown strap',
  does: 'Rows grown from the rim at one side, over the mouth, joined to the other; or several from front to back.', fields,
  tools: ['where-placed'], refusedAs: 'These straps', sample: { spec: spec => ({ ...spec, wide: 3, length: { want: { dropCm: 4.6 } } }) },
  begins: ({ stitch }) => ({ stitch, length: { want: { dropCm: 28 } } }), place: workGrownStrap, strengthen: widerOnFeet,
})
