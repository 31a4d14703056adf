import type { Draft } from '../draft/draft'
import type { Start } from '../part/start'
import { formatCm } from '../measure/format'
import { stitchName, type Terms } from '../stitch/dictionary'

/** A starting chain shrinks once it is worked into, so it is measured before (craft 4). */
function lengthBefore(start: Start, { design }: Draft): string {
  return start.beforeCm ? ` (about ${formatCm(start.beforeCm, design.units)} long before you work into it; it draws in a little)` : ''
}

/** What comes before the first round: the ring or the chain that it is worked into. */
export function startWords(draft: Draft, terms: Terms): string {
  return startOf(draft.start, draft.design.base.colour, draft, terms)
}

/** How each sort of start is made, said in the yarn that it is made of. */
const STARTS: Readonly<Record<Start['kind'], (start: Start, slip: string, sc: string, before: string) => string>> = {
  'ring': () => 'make an adjustable ring; pull it closed when round 1 is done.',
  'chain-ring': ({ chains }, slip) => `ch ${chains}, join with ${slip} to first ch to form a ring.`,
  'chain': ({ chains }) => `ch ${chains}.`, 'foundation-chain': ({ chains }, _, __, before) => `ch ${chains}${before}.`,
  'foundation-sc': ({ chains }, _, sc) => `work ${chains} foundation ${sc}, chain and stitch in one.`,
  'chain-loop': ({ chains }, slip, _, before) => `ch ${chains}${before}; join with ${slip} to first ch, taking care not to twist it.`,
  'bought': ({ chains }) => `draw up a loop through a hole at the middle of a short side; the floor has ${chains} holes.`,
}

/** A start in words, in the yarn that it is made of. */
export function startOf(start: Start, colour: string, draft: Draft, terms: Terms): string {
  const yarn = draft.design.yarns.find(({ id }) => id === colour)?.name
  const [slip, sc] = [stitchName('slst', terms).abbreviation, stitchName('sc', terms).abbreviation]
  return `${yarn ? `With ${yarn}: ` : ''}${STARTS[start.kind](start, slip, sc, lengthBefore(start, draft))}`
}

function styleNotes(draft: Draft, terms: Terms): string[] {
  const { style, startingChainCounts } = draft.design.rounds
  const slip = stitchName('slst', terms).abbreviation
  if (style === 'spiral') {
    return [
      'Worked in a spiral: rounds are not joined. Put a marker in the first stitch of every round and move it up as you go.',
      `The round ends in a half-step; one ${slip} in the next stitch evens it before you fasten off.`,
    ]
  }
  const chain = startingChainCounts
    ? 'The starting chain counts as the first stitch: it stands on the stitch you joined to, so the next stitch goes in the next one. '
    + 'The last round-end join goes in its top chain.'
    : 'The starting chain does not count: the first stitch goes in the stitch you joined to. Do not work into the chain or the join.'
  const marker = 'Put a marker in the first stitch of each round: it shows where to join.'
  if (style === 'turned')
    return [
      'Rounds are joined and turned: the seam stays straight and both sides look alike. An odd number of rounds ends with the right '
      + 'side facing.',
      chain, marker,
    ]
  return ['Rounds are joined, with the same side facing: the seam will lean a little, steadily.', chain, marker]
}

/** What holds for the whole bag: how rounds go, which way, how increases lie. */
export function notesOf(draft: Draft, terms: Terms): string[] {
  const { design } = draft
  return [
    `Written in ${terms === 'us' ? 'US' : 'UK'} terms.`, ...styleNotes(draft, terms),
    ...draft.parts.flatMap(({ bagNotes = [] }) => bagNotes),
    ...(design.hands === 'left' ? ['Left-handed: work clockwise, and read the chart as drawn.'] : []),
  ]
}
