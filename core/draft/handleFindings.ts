import type { Design } from '../design/design'
import type { Gauge } from '../gauge/gauge'
import { slotsOn } from '../handle/slotSpec'
import { formatCm, type Units } from '../measure/format'
import type { Finding, Fix } from '../part/finding'
import { isSlots, type WallSpec } from '../wall/wall'
import { type Hanging, hangingsOf } from './handles'
import type { DraftPart } from './part'
import type { BagSizes } from './sizes'

/** Usual drops (handbook 10; from memory): in the hand, and over the shoulder. */
export const HAND_DROP_CM = 12
export const SHOULDER_DROP_CM = 28

function indexOf({ id }: DraftPart): number {
  return Number(id.slice(5))
}

function drops(hangings: readonly Hanging[], design: Design): Finding[] {
  return [...new Map(hangings.map(one => [`${one.part.id}${one.handle.lengthCm}`, one])).values()].map(({ handle, part, dropCm, loadedDropCm, kg, stretch, tested }) => {
    const { units } = design
    const how = handle.bought ? 'it does not give' : tested ? `by your strip it lengthens ${(stretch * 100).toFixed(0)} %` : `cotton lengthens by 5 to 15 %, ${(stretch * 100).toFixed(0)} taken; from memory, so hang a strip of your own`
    const named = handle.lies === 'around' ? handle.name : part.handles.length > 1 ? 'Each handle' : handle.name
    return {
      code: 'drop', weight: 'note', part: part.id,
      what: `${named} is ${formatCm(handle.lengthCm, units)} from foot to foot: held up it drops ${formatCm(dropCm, units)} empty, about ${formatCm(loadedDropCm, units)} ${kg === undefined ? 'loaded' : `with ${kg.toFixed(1)} kg in it`} (${how}). In the hand about ${formatCm(HAND_DROP_CM, units)} is usual, over the shoulder about ${formatCm(SHOULDER_DROP_CM, units)} (from memory): measure your own.`,
    }
  })
}

/** A strap no longer than what it bridges lies flat on the rim: no hand goes under it. */
function tooShort(hangings: readonly Hanging[], { units }: Design): Finding[] {
  return [...new Map(hangings.filter(({ handle }) => handle.lengthCm <= handle.gapCm).map(one => [one.part.id, one])).values()].map(({ handle, part }) => ({
    code: 'handle-short', weight: 'caution', part: part.id, what: `${formatCm(handle.lengthCm, units)} of strap cannot rise over feet ${formatCm(handle.gapCm, units)} apart: no hand goes under it. Make it longer, or its feet closer together.`,
  }))
}

/** Pull on each centimetre of a crocheted cotton handle from which to watch it, and from which to take care (from memory; nothing is rated). */
const WATCH_KG_PER_CM = 1
const CAUTION_KG_PER_CM = 2

/** What makes a handle wider, so that the pull comes down to what wants no watching. */
function wider(spec: WallSpec, index: number, strands: number, by: number): Fix[] {
  const wanted = Math.min(60, Math.ceil(strands * by))
  const set = (field: string, label: string): Fix => ({ label, changes: [{ path: ['wall', index, field], value: wanted }] })
  if (isSlots(spec)) return [set('rounds', `${wanted} rounds above the slots`)]
  switch (spec.band) {
    case 'sewn-straps': return [set('wide', `Straps of ${wanted} ${spec.worked === 'across' ? 'stitches' : 'rows'}`), ...(spec.reinforced === 'tape' ? [] : [{ label: 'A woven tape along the back', changes: [{ path: ['wall', index, 'reinforced'], value: 'tape' }] }])]
    case 'under-strap': return [set('wide', `A strap of ${wanted} ${spec.worked === 'across' ? 'stitches' : 'rows'}`)]
    case 'grown-strap':
    case 'knot-straps': return [{ label: `${wanted} stitches wide, on feet as wide`, changes: [{ path: ['wall', index, 'wide'], value: wanted }, { path: ['wall', index, 'foot'], value: Math.max(wanted, spec.foot) }] }]
    default: return []
  }
}

/** One strap under the bag in the place of what hangs on its rim. */
function underInstead(spec: WallSpec, index: number): Fix[] {
  if (spec.band === 'under-strap') return []
  const strap: WallSpec = { band: 'under-strap', worked: 'along', wide: 8, length: { want: { dropCm: SHOULDER_DROP_CM } }, lines: 2, stitch: 'sc', nudge: 0, colour: spec.colour }
  return [{ label: 'A strap under the whole bag instead', changes: [{ path: ['wall', index], value: strap }] }]
}

const OPTIONS = 'Makers widen the handles, sew a woven tape along them, line the bag so that the lining takes the strain, or run a strap under the whole bag.'

function narrow(hangings: readonly Hanging[], design: Design): Finding[] {
  const worst = new Map<string, Hanging>()
  for (const one of hangings) if ((one.kgPerCm ?? 0) > (worst.get(one.part.id)?.kgPerCm ?? 0)) worst.set(one.part.id, one)
  return [...worst.values()].flatMap(({ handle, part, kg, kgPerCm }): Finding[] => {
    if (kg === undefined || kgPerCm === undefined || handle.bought) return []
    const index = indexOf(part)
    const spec = design.wall[index]!
    const taped = spec.band === 'sewn-straps' && spec.reinforced === 'tape'
    const told = `${handle.strands} ${handle.strands === 1 ? 'strand carries' : isSlots(spec) || ('worked' in spec && spec.worked !== 'across') ? 'rows carry' : 'stitches carry'} ${kg.toFixed(1)} kg in each handle, ${formatCm(handle.widthCm, design.units)} wide: ${Number.isFinite(kgPerCm) ? `${kgPerCm.toFixed(1)} kg on each centimetre` : 'pulled straight, more than can be told'}.`
    if (kgPerCm <= WATCH_KG_PER_CM || taped) return [{ code: 'handle-load', weight: 'note', part: part.id, what: `${told} ${taped ? 'The tape takes it.' : 'That is wide enough for it; watch the stitching at the feet.'} No handmade bag has a rated load: try it low over the floor.` }]
    const [fix, ...otherFixes] = [...(Number.isFinite(kgPerCm) ? wider(spec, index, handle.strands, kgPerCm / WATCH_KG_PER_CM) : []), ...underInstead(spec, index)]
    return [{
      code: 'handle-narrow', weight: kgPerCm > CAUTION_KG_PER_CM ? 'caution' : 'watch', part: part.id,
      what: `${told} That is much for a handle so narrow: more than about ${WATCH_KG_PER_CM} kg on a centimetre stretches and cuts in (from memory; nothing here is rated). ${OPTIONS} Try it low over the floor.`, ...(fix ? { fix } : {}), otherFixes,
    }]
  })
}

function unweighed(hangings: readonly Hanging[], design: Design): Finding[] {
  if (hangings.length === 0 || design.contents?.weightKg !== undefined) return []
  return [{ code: 'weight-unknown', weight: 'note', part: hangings[0]!.part.id, what: 'Say what the bag must hold and what that weighs, under “What it must hold”: then the pull on each handle is judged.' }]
}

/** A hand with its knuckles wants about so much room (from memory). */
const HAND_CM = 9

function handHoles(design: Design, parts: readonly DraftPart[], gauge: Gauge): Finding[] {
  return parts.flatMap((part): Finding[] => {
    const spec = part.id.startsWith('wall.') ? design.wall[indexOf(part)]! : undefined
    const first = part.rounds[0]
    if (!spec || !isSlots(spec) || !first) return []
    const { placing, hangs } = slotsOn(spec, first.on, { gauge }, first.round.begin.turn)
    const wideCm = placing.places * gauge[spec.stitch].width.cm
    return hangs || wideCm >= HAND_CM
      ? []
      : [{ code: 'hand-hole-small', weight: 'watch', part: part.id, what: `A hand hole ${formatCm(wideCm, design.units)} wide is narrow: a hand wants about ${formatCm(HAND_CM, design.units)} (from memory).`, fix: { label: `Slots ${HAND_CM + 1} cm wide`, changes: [{ path: ['wall', indexOf(part), 'width'], value: { want: { widthCm: HAND_CM + 1 } } }] } }]
  })
}

/** A loop of cord or strap longer than this can go round a small neck (EN 71-1, cords on toys for children under three; from memory). */
const CHILD_LOOP_CM = 22

function childLoops(hangings: readonly Hanging[], { forChild, units }: Design): Finding[] {
  const long = hangings.find(({ handle }) => handle.lengthCm > CHILD_LOOP_CM)
  const across = hangings.find(({ part }) => part.pieces.some(({ id }) => id === 'cord'))
  if (!forChild) return across ? [{ code: 'long-strap', weight: 'watch', part: across.part.id, what: 'A long strap worn across the body can catch in doors, wheels and machines, and can strangle: never leave it where small children sleep or play.' }] : []
  return long ? [{ code: 'handles-for-a-child', weight: 'caution', part: long.part.id, what: `A handle of ${formatCm(long.handle.lengthCm, units)} is a loop that can go round a small neck: keep it shorter than ${formatCm(CHILD_LOOP_CM, units)} on anything for a child (EN 71-1 for toys under three; from memory), never on a cot. Your local safety law decides.` }] : []
}

/** Straps from corner to corner lie along the bag's long side. */
function cornerToCorner(design: Design, parts: readonly DraftPart[], sizes: BagSizes, gauge: Gauge): Finding[] {
  return parts.flatMap((part): Finding[] => {
    const spec = part.id.startsWith('wall.') ? design.wall[indexOf(part)]! : undefined
    const first = part.rounds[0]
    if (spec?.band !== 'chain-straps' || !first || (sizes.floor.shape !== 'rectangle' && sizes.floor.shape !== 'stadium')) return []
    const { placing } = slotsOn(spec, first.on, { gauge }, first.round.begin.turn)
    const wideCm = placing.places * gauge[spec.stitch].width.cm
    const { shape, length, width } = sizes.floor
    const longCm = shape === 'rectangle' ? Math.max(length.cm, width.cm) : length.cm - width.cm
    if (longCm < 3 || Math.abs(wideCm - longCm) < 1.5) return []
    return [{ code: 'not-at-corners', weight: 'note', part: part.id, what: `The straps stand ${formatCm(wideCm, design.units)} apart; the bag's long side is ${formatCm(longCm, design.units)} from corner to corner.`, fix: { label: 'From corner to corner', changes: [{ path: ['wall', indexOf(part), 'width'], value: { want: { widthCm: Math.round(longCm * 10) / 10 } } }] } }]
  })
}

function curls(parts: readonly DraftPart[], units: Units): Finding[] {
  return parts.flatMap(({ id, pieces, handles }): Finding[] => {
    const narrowest = pieces.find(({ rows, widthCm }) => rows.length > 1 && widthCm < 4)
    if (!narrowest || handles.length === 0) return []
    return [{ code: 'straps-curl', weight: 'note', part: id, what: `A strap ${formatCm(narrowest.widthCm, units)} wide tends to curl: block it, or work an edging of {sc} along both its edges (common practice).` }]
  })
}

/** What handles should be watched for: how far they drop, what they carry, who they are for. */
export function handleFindings(design: Design, parts: readonly DraftPart[], sizes: BagSizes, gauge: Gauge): Finding[] {
  const hangings = hangingsOf(design, parts)
  return [
    ...drops(hangings, design), ...tooShort(hangings, design), ...narrow(hangings, design), ...unweighed(hangings, design), ...handHoles(design, parts, gauge),
    ...childLoops(hangings, design), ...cornerToCorner(design, parts, sizes, gauge), ...curls(parts, design.units), ...buttonsForAChild(design, parts),
  ]
}

function buttonsForAChild({ forChild, wall }: Design, parts: readonly DraftPart[]): Finding[] {
  if (!forChild) return []
  return parts.filter(part => part.id.startsWith('wall.') && ['button-loop', 'tab'].includes(wall[indexOf(part)]!.band))
    .map(({ id }) => ({ code: 'button-for-a-child', weight: 'caution', part: id, what: 'Buttons come off and can be swallowed: none on anything for a small child. Your local safety law decides.' }))
}
