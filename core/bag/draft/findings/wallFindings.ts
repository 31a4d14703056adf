import type { Design } from '../../design/design'
import { tape } from '../../../things/stitch/translate'
import type { Finding, Fix } from '../../../parts/part/finding'
import { asPartOf } from '../../design/partIds'
import { adjustedTo } from '../../../parts/wall/adjusted'
import { CARRY_CM, type YarnChanges, yarnChanges } from '../../../things/round/yarnChanges'
import type { Bag } from './judge'
import { type DraftPart, isStopped, wallKindOf } from '../fold/draftPart'
import { riseOf } from '../../../parts/part/rise'

/** The plain band with the most rounds: one more or fewer changes nothing else. */
function longestPlain(parts: readonly DraftPart[]): DraftPart | undefined {
  return parts.filter(part => wallKindOf(part)?.plain).sort((a, b) => b.rounds.length - a.rounds.length)[0]
}

/** Makers want the right side facing for an edging or a casing: in turned work it may fall on the other (craft 2). */
function facing(parts: readonly DraftPart[]): Finding[] {
  const turned = parts.find(({ trims, casing, rounds }) => (trims || casing) && rounds[0]?.round.facing === 'wrong')
  if (!turned) return []
  const band = longestPlain(parts.slice(0, parts.indexOf(turned)))
  const fix = ({ id, name, rounds }: DraftPart, by: number): Fix => ({
    label: `${by > 0 ? 'One round more' : 'One round fewer'} in ${name}`,
    changes: [{ path: ['wall', id, 'size'], value: { pin: { rounds: rounds.length + by } } }],
  })
  return [
    {
      code: 'ends-on-wrong-side', weight: 'watch', part: turned.id,
      what: `${turned.trims ? 'This edging' : 'This casing'} is worked with the wrong side facing, and wants the right one: work one `
        + 'round more or one fewer below it.',
      ...(band && band.rounds.length > 1 ? { fix: fix(band, 1), otherFixes: [fix(band, -1)] } : {}),
    },
  ]
}

/** The mouth has to divide by what will be worked on it. */
function mouth(design: Design, parts: readonly DraftPart[]): Finding[] {
  const top = parts.at(-1)!
  if (!design.mouth || isStopped(top)) return []
  const { divides } = design.mouth
  const over = top.edge.count % divides
  if (over === 0) return []
  const adjusting = adjustedTo({ want: { divides: true } }, 'sc', design.wall.at(-1)?.colour ?? design.base.colour)
  return [
    {
      code: 'mouth-does-not-divide', weight: 'caution', part: top.id,
      what: `The mouth has ${top.edge.count} stitches, and ${divides} does not go into them: ${over} too many, or ${divides - over} `
        + 'too few. Look for counts that fit, or adjust in a last round.',
      fix: { label: 'Adjust in a last round', changes: [{ path: ['wall'], value: [...design.wall, asPartOf(design.wall, adjusting)] }] },
    },
  ]
}

/** Every change of yarn in a draft's rounds. */
export function draftYarnChanges(parts: readonly DraftPart[]): YarnChanges {
  return yarnChanges(parts.flatMap(part => part.rounds.map(({ round }, i) => ({ colour: round.colour, riseCm: riseOf(part, i) }))))
}

/** Yarn changes: what to carry, what to cut. */
function colours(design: Design, parts: readonly DraftPart[]): Finding[] {
  const { changes, ends } = draftYarnChanges(parts)
  if (changes.length === 0) return []
  const carried = changes.filter(change => change.carried).length
  const cut = changes.length - carried
  const words = [
    `${changes.length} ${changes.length === 1 ? 'change' : 'changes'} of yarn.`,
    carried > 0
      ? `At ${carried} the old yarn is carried up inside, slack and caught every second round (it rests for at most `
      + `${tape(CARRY_CM)}; a rule of thumb).`
      : '',
    cut > 0 ? `At ${cut} it is cut.` : '', `${Object.values(ends).reduce((a, b) => a + b, 0)} ends to weave in, in all.`,
  ]
  return [{ code: 'yarn-changes', weight: 'note', part: 'yarn', what: words.filter(Boolean).join(' ') }]
}

/** A step in width that the eye sees at once: more than a tenth from one part to the next (from memory). */
const STEP_SHARE = 0.1

/** Where the bag draws in or flares from one part to the next, without a taper to spread it. */
function steps(design: Design, parts: readonly DraftPart[]): Finding[] {
  return parts.slice(1).flatMap((part, i): Finding[] => {
    const below = parts[i]!
    const share = part.size.circumference.cm / below.size.circumference.cm - 1
    // Where it is meant, a part's own findings say how it lies.
    if (part.rounds.length === 0 || wallKindOf(part)?.shapes || Math.abs(share) <= STEP_SHARE) return []
    const [from, to] = [below, part].map(({ size }) => tape(size.circumference.cm / 2))
    return [
      {
        code: share < 0 ? 'draws-in' : 'flares', weight: 'watch', part: part.id,
        what: `Here the bag goes from ${from} to ${to} lying flat at once: it will ${share < 0 ? 'draw in like a neck' : 'flare'}. If `
          + `you do not want that, ${share < 0 ? 'add' : 'take away'} stitches in an adjusting round or a taper.`,
      },
    ]
  })
}

/** Findings about the wall as a whole. */
export function wallFindings({ design, parts }: Bag): Finding[] {
  return [...facing(parts), ...mouth(design, parts), ...steps(design, parts), ...colours(design, parts)]
}
