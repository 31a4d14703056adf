import type { Draft } from '../../bag/draft/draft'
import { formatCm } from '../../things/measure/format'
import type { Start } from '../../parts/part/start'
import type { Terms } from '../../things/stitch/dictionary'

/** A starting chain shrinks once it is worked into, so it is measured before (craft 4). */
function lengthBefore(start: Start, { design }: Draft): string {
  return start.beforeCm ? ` (about ${formatCm(start.beforeCm, design.units)} long before you work into it; it draws in a little)` : ''
}

/** How each sort of start is made, said in the yarn that it is made of. */
const STARTS: Readonly<Record<Start['kind'], (start: Start, before: string) => string>> = {
  'ring': () => 'make an adjustable ring; pull it closed when round 1 is done.',
  'chain-ring': ({ chains }) => `{ch} ${chains}, join with {slst} to first ch to form a ring.`,
  'chain': ({ chains }) => `{ch} ${chains}.`, 'foundation-chain': ({ chains }, before) => `{ch} ${chains}${before}.`,
  'foundation-sc': ({ chains }) =>
    `work ${chains} foundation {sc}, chain and stitch in one. The hook ends at the last of them; do not turn: round 1 goes along the tops, `
    + 'beginning with the last foundation st made.',
  'foundation-side': ({ chains }) =>
    `{ch} ${chains}. Round 1 begins with foundation stitches, chain and stitch in one, the first of them in the first of these chains: `
    + 'they are its first side, and it goes on along what they stand on.',
  'chain-loop': ({ chains }, before) => `{ch} ${chains}${before}; join with {slst} to first ch, taking care not to twist it.`,
  'bought': ({ chains }) => `draw up a loop through a hole at the middle of a short side; the floor has ${chains} holes.`,
}

/** A start in words: what is made before the first round. */
export function startWords(start: Start, draft: Draft): string {
  return STARTS[start.kind](start, lengthBefore(start, draft))
}

/** A start in words, in the yarn that it is made of. */
export function startOf(start: Start, colour: string, draft: Draft): string {
  const yarn = draft.design.yarns.find(({ id }) => id === colour)?.name
  return `${yarn ? `With ${yarn}: ` : ''}${startWords(start, draft)}`
}

/** The sorts of rounds the bag really has: a bag of rows needs no notes on joins. */
function stylesIn(draft: Draft): { readonly joined: boolean, readonly spiral: boolean, readonly turned: boolean } {
  const rounds = draft.rounds.map(({ worked }) => worked.round)
  return {
    joined: rounds.some(({ join }) => join === 'slip'), spiral: rounds.some(({ join, closing }) => join === 'spiral' && !closing),
    turned: rounds.some(({ join, begin }) => join === 'slip' && begin.turn),
  }
}

function startingChain({ rounds }: Draft): string[] {
  const joined = rounds.filter(({ worked }) => worked.round.join === 'slip')
  const counting = joined.filter(({ worked }) => worked.round.begin.counts).length
  const counts
    = 'The starting chain counts as the first stitch: it stands on the stitch you joined to, so the next stitch goes in '
      + 'the next one. The join at the end of the round goes in the top of that chain.'
  const past
    = 'The starting chain does not count. After turning pass over it and over the join: the first stitch goes in the last stitch of the '
      + 'round before, and the last one in the stitch that was joined to.'
  const not
    = 'The starting chain does not count: the first stitch goes in the stitch you joined to. Do not work into the chain or '
      + 'the join.'
  if (counting === 0) return [joined.some(({ worked }) => worked.round.begin.past) ? past : not]
  return counting === joined.length
    ? [counts]
    : [`${counts} Where a round says that its chain does not count, its first stitch goes `
      + 'in the stitch you joined to.']
}

/** Which side faces when the last round is done; in turned work it is worked out, not a rule of thumb. */
function facingNote(draft: Draft): string {
  const last = draft.rounds.at(-1)!.worked.round.facing
  return `After the last round the ${last} side faces you.`
}

function styleNotes(draft: Draft): string[] {
  const { joined, spiral, turned } = stylesIn(draft)
  const marker = 'Put a marker in the first stitch of each round: it shows where to join.'
  const notes: string[] = []
  if (spiral && !joined)
    notes.push('Worked in a spiral: rounds are not joined. Put a marker in the first stitch of every round and move it up as you go.')
  if (spiral && joined) notes.push('A round that does not end with a join goes on into the next one, in a spiral.')
  if (turned)
    notes.push('Rounds are joined and turned where they say so: the seam stays straight and both sides look alike.', facingNote(draft))
  else if (joined) notes.push('Rounds are joined, with the same side facing: the seam will lean a little, steadily.')
  if (joined) notes.push(...startingChain(draft), marker)
  return notes
}

/** Notes that hold for the whole bag: how rounds go, which way, how increases lie; before they are translated. */
export function notesOf(draft: Draft, terms: Terms): string[] {
  const { design } = draft
  return [
    `Written in ${terms === 'us' ? 'US' : 'UK'} terms.`, ...(design.note.trim() ? [design.note.trim()] : []),
    ...styleNotes(draft),
    ...draft.parts.flatMap(({ bagNotes = [] }) => bagNotes),
    ...(design.hands === 'left'
      ? [
          'Left-handed: rounds go clockwise, seen from the right side, and the chart is drawn that way; left and right in the text '
          + 'are yours.',
        ]
      : []),
  ]
}
