import type { Design } from '../../design/design'
import { tape, kilosOf } from '../../../things/stitch/translate'
import { HAND_DROP_CM, SHOULDER_DROP_CM } from '../../../parts/handle/drop'
import type { Finding, Fix } from '../../../parts/part/finding'
import { kindOf } from '../../../parts/wall/wall'
import { type Hanging, hangingsOf } from '../handles'
import type { Bag } from './judge'
import { type DraftPart, wallPartOf } from '../fold/draftPart'
import { rebaseFixes } from '../fold/partInBag'

function drops(hangings: readonly Hanging[]): Finding[] {
  return [...new Map(hangings.map(one => [`${one.part.id}${one.handle.lengthCm}`, one])).values()].map(
    ({ handle, part, dropCm, loadedDropCm, kg, stretch, tested }) => {
      const how = handle.bought
        ? 'it does not give'
        : tested
          ? `by your strip it lengthens ${(stretch * 100).toFixed(0)} %`
          : `cotton lengthens by 5 to 15 %, ${(stretch * 100).toFixed(0)} taken; a rule of thumb, so hang a strip of your own`
      const named = handle.lies === 'around' ? handle.name : part.handles.length > 1 ? 'Each handle' : handle.name
      return {
        code: 'drop', weight: 'note', part: part.id,
        what:
          `${named} is ${tape(handle.lengthCm)} from foot to foot: held up it drops ${tape(dropCm)} empty, `
          + `about ${tape(loadedDropCm)} ${kg === undefined ? 'loaded' : `with ${kilosOf(kg)} in it`} (${how}). In the `
          + `hand about ${tape(HAND_DROP_CM)} is usual, over the shoulder about ${tape(SHOULDER_DROP_CM)} `
          + '(a rule of thumb): measure your own.',
      }
    },
  )
}

/** A strap no longer than what it bridges lies flat on the rim: no hand goes under it. */
function tooShort(hangings: readonly Hanging[]): Finding[] {
  return [...new Map(hangings.filter(({ handle }) => handle.lengthCm <= handle.gapCm).map(one => [one.part.id, one])).values()].map(
    ({ handle, part }) => ({
      code: 'handle-short', weight: 'caution', part: part.id,
      what:
        `${tape(handle.lengthCm)} of strap cannot rise over feet ${tape(handle.gapCm)} apart: no hand goes `
        + 'under it. Make it longer, or its feet closer together.',
    }),
  )
}

/**
 * Pull on each centimetre of a crocheted cotton handle from which to watch it, and from which to take care (from memory; nothing is
 * rated).
 */
const WATCH_KG_PER_CM = 1
const CAUTION_KG_PER_CM = 2

const OPTIONS
  = 'Makers widen the handles, sew a woven tape along them, line the bag so that the lining takes the strain, or run a strap under the '
    + 'whole bag.'

/** Wider than this nobody makes a handle. */
const MOST_STRANDS = 60

/** Ways to make what hangs bear its load: as many strands as bring the pull down to what wants no watching, if that can be told. */
function strengthened({ part, handle, kgPerCm = 0 }: Hanging): Fix[] {
  const spec = wallPartOf(part)
  if (!spec) return []
  const strands = Number.isFinite(kgPerCm) ? Math.min(MOST_STRANDS, Math.ceil(handle.strands * (kgPerCm / WATCH_KG_PER_CM))) : undefined
  return rebaseFixes(part.from, kindOf(spec).strengthen?.(spec, strands) ?? [])
}

/** Load of a handle, in words. */
function loadWords({ handle, kg = 0, kgPerCm = 0 }: Hanging): string {
  const carry = handle.strands === 1 ? 'strand carries' : `${handle.bears.strands} carry`
  const pull = Number.isFinite(kgPerCm) ? `${kilosOf(kgPerCm)} on each centimetre` : 'pulled straight, more than can be told'
  return `${handle.strands} ${carry} ${kilosOf(kg)} in each handle, ${tape(handle.widthCm)} wide: ${pull}.`
}

function narrow(hangings: readonly Hanging[]): Finding[] {
  const worst = new Map<string, Hanging>()
  for (const one of hangings) if ((one.kgPerCm ?? 0) > (worst.get(one.part.id)?.kgPerCm ?? 0)) worst.set(one.part.id, one)
  return [...worst.values()].flatMap((hanging): Finding[] => {
    const {
      handle: { bought, bears }, part, kg, kgPerCm,
    } = hanging
    if (kg === undefined || kgPerCm === undefined || bought) return []
    const told = loadWords(hanging)
    if (kgPerCm <= WATCH_KG_PER_CM || bears.taped) {
      const enough = bears.taped ? 'The tape takes it.' : 'That is wide enough for it; watch the stitching at the feet.'
      return [
        {
          code: 'handle-load', weight: 'note', part: part.id,
          what: `${told} ${enough} No handmade bag has a rated load: try it low over the floor.`,
        },
      ]
    }
    const [fix, ...otherFixes] = strengthened(hanging)
    return [
      {
        code: 'handle-narrow', weight: kgPerCm > CAUTION_KG_PER_CM ? 'caution' : 'watch', part: part.id,
        what:
          `${told} That is much for a handle so narrow: more than about ${kilosOf(WATCH_KG_PER_CM)} on ${tape(1)} stretches and cuts `
          + `in (a rule of thumb; nothing here is rated). ${OPTIONS} Try it low over the floor.`,
        ...(fix ? { fix } : {}), otherFixes,
      },
    ]
  })
}

function unweighed(hangings: readonly Hanging[], design: Design): Finding[] {
  if (hangings.length === 0 || design.contents?.weightKg !== undefined) return []
  return [
    {
      code: 'weight-unknown', weight: 'note', part: hangings[0]!.part.id,
      what: 'Say what the bag must hold and what that weighs, under “What it must hold”: then the pull on each handle is judged.',
    },
  ]
}

/** A loop of cord or strap longer than this can go round a small neck (EN 71-1, cords on toys for children under three; from memory). */
const CHILD_LOOP_CM = 22

function childLoops(hangings: readonly Hanging[], { forChild }: Design): Finding[] {
  const long = hangings.find(({ handle }) => handle.lengthCm > CHILD_LOOP_CM)
  const across = hangings.find(({ handle }) => handle.bears.acrossBody)
  if (!forChild)
    return across
      ? [
          {
            code: 'long-strap', weight: 'watch', part: across.part.id,
            what:
              'A long strap worn across the body can catch in doors, wheels and machines, and can strangle: never leave it where '
              + 'small children sleep or play.',
          },
        ]
      : []
  return long
    ? [
        {
          code: 'handles-for-a-child', weight: 'caution', part: long.part.id,
          what:
            `A handle of ${tape(long.handle.lengthCm)} is a loop that can go round a small neck: keep it shorter than `
            + `${tape(CHILD_LOOP_CM)} on anything for a child (EN 71-1, for toys under three), never on a cot. `
            + 'Your local safety law decides.',
        },
      ]
    : []
}

function curls(parts: readonly DraftPart[]): Finding[] {
  return parts.flatMap(({ id, pieces, handles }): Finding[] => {
    const narrowest = pieces.find(({ rows, widthCm }) => rows.length > 1 && widthCm < 4)
    if (!narrowest || handles.length === 0) return []
    return [
      {
        code: 'straps-curl', weight: 'note', part: id,
        what:
          `A strap ${tape(narrowest.widthCm)} wide tends to curl: block it, or work an edging of {sc} along both its `
          + 'edges (common practice).',
      },
    ]
  })
}

/** Findings about handles and closures: how far they drop, what they carry, who they are for. */
export function handleFindings({ design, parts }: Bag): Finding[] {
  const hangings = hangingsOf(design, parts)
  return [
    ...drops(hangings), ...tooShort(hangings), ...narrow(hangings), ...unweighed(hangings, design), ...childLoops(hangings, design),
    ...curls(parts), ...buttonsForAChild(design, parts),
  ]
}

function buttonsForAChild({ forChild }: Design, parts: readonly DraftPart[]): Finding[] {
  if (!forChild) return []
  return parts
    .filter(({ closure }) => closure?.buttonCm !== undefined)
    .map(({ id }) => ({
      code: 'button-for-a-child', weight: 'caution', part: id,
      what: 'Buttons come off and can be swallowed: none on anything for a small child. Your local safety law decides.',
    }))
}
