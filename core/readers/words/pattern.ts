import { hasFloor } from '../../parts/part/floor'
import { type CardId, CARDS } from '../../things/entry/cards'
import type { Draft, DraftPart } from '../../bag/draft/draft'
import { isBase } from '../../bag/draft/fold/draftPart'
import { formatLength } from '../../things/measure/format'
import { traitsOf } from '../../parts/part/start'
import type { Piece } from '../../parts/part/piece'
import type { Terms } from '../../things/stitch/dictionary'
import { translate } from '../../things/stitch/translate'
import { type Abbreviation, Spoken } from './abbreviations'
import { cordLines } from './cordWords'
import { finishingOf } from './finishing'
import { floorWords } from './floorWords'
import { type Fact, headOf } from './head'
import { type PatternLine, type SaidLine, saidLines, saidRows } from './lines'
import { gathered } from './gathered'
import { notesOf, startOf } from './notes'
import { afterRounds, afterRows, beforeRounds, beforeRows } from './sectionTexts'
import type { TaughtGrams } from '../../bag/yarn/grams'
import type { Manner, RepeatStyle } from './openingWords'
import { unfinishedOf } from './unfinished'

export { type PatternLine, roundLines, rowLines } from './lines'

/** A part of the bag in a pattern. */
export interface PatternSection {
  readonly part: string
  readonly title: string
  /** Said before the rounds. */
  readonly lead?: string
  /** Notes that steps do not say: markers, seams, joining. */
  readonly advice: readonly string[]
  readonly lines: readonly PatternLine[]
  /** Of something worked on its own: its rows are numbered for themselves. */
  readonly piece?: string
  /** Said after the rounds: how a piece is joined to the bag. */
  readonly finish?: readonly string[]
  /** Length of the work when the part is done. */
  readonly check?: string
  /** That it is meant to look as it does, where makers worry. */
  readonly looks?: string
  /** Why the pattern ends here, if it does. */
  readonly stop?: string
}

/** A bag written out the way makers read it. */
export interface Pattern {
  readonly title: string
  readonly terms: Terms
  readonly repeats: RepeatStyle
  /** The missing parts, and why, of a draft that stops: it is no finished pattern. */
  readonly unfinished: readonly string[]
  readonly facts: readonly Fact[]
  readonly abbreviations: readonly Abbreviation[]
  /** Stitches that need a line of their own. */
  readonly special: readonly Abbreviation[]
  readonly notes: readonly string[]
  readonly sections: readonly PatternSection[]
  /** The ways that its stitches are entered and joined: a drawing each. */
  readonly cards: readonly CardId[]
  /** Finishing, step by step. */
  readonly finishing: readonly string[]
  readonly care: readonly string[]
}

/** Everything worked on its own, in the order of the parts it is for. */
export function piecesOf(draft: Draft): Piece[] {
  return draft.parts.flatMap(({ pieces }) => pieces)
}

/** Writes one pattern, and gathers what is spoken of while doing so. */
class Writer {
  readonly spoken: Spoken

  constructor(
    private readonly draft: Draft,
    private readonly manner: Manner,
  ) {
    this.spoken = new Spoken(manner)
  }

  /** A text in the maker's vocabulary; what it names is spoken of. */
  say(text: string): string {
    this.spoken.text(text)
    return translate(text, { terms: this.manner.terms, units: this.draft.design.units })
  }

  sayAll(texts: readonly string[]): string[] {
    return texts.map(text => this.say(text))
  }

  private lines(said: readonly SaidLine[]): PatternLine[] {
    said.forEach(({ sentence }) => this.spoken.sentence(sentence))
    const lines = gathered(said)
    if (lines.some(({ again }) => again)) this.spoken.repeats()
    return lines
  }

  /** Pieces worked on their own for a part, a section each. */
  private pieces(part: DraftPart, before: boolean): PatternSection[] {
    return part.pieces.filter(piece => (piece.before ?? false) === before).map((piece): PatternSection => {
      return {
        part: part.id, piece: piece.id, title: piece.times > 1 ? `${piece.name}: make ${piece.times}` : piece.name,
        lead: this.say(piece.lead ?? startOf(piece.start, piece.colour, this.draft)),
        advice: this.sayAll(beforeRows(this.draft, piece)),
        lines: this.lines(saidRows(piece, this.manner)), finish: this.sayAll(afterRows(this.draft, piece)),
      }
    })
  }

  private section(part: DraftPart, said: readonly SaidLine[]): PatternSection {
    const stop = part.findings.find(({ weight }) => weight === 'stop')
    const nothing = part.rounds.length === 0 && part.advice.length === 0 && !stop && part.pieces.length === 0 && !part.casing
    const check = checkOf(this.draft, part)
    return {
      part: part.id, title: part.name, lines: this.lines(said.slice(part.firstRound - 1, part.firstRound - 1 + part.rounds.length)),
      ...(isBase(part) ? { lead: this.say(startOf(this.draft.start, this.draft.design.base.colour, this.draft)) } : {}),
      advice: this.sayAll(nothing ? ['Nothing to work here.'] : beforeRounds(this.draft, part)),
      finish: this.sayAll(afterRounds(this.draft, part)),
      ...(check ? { check } : {}),
      ...(part.looks ? { looks: this.say(part.looks) } : {}), ...(stop ? { stop: this.say(stop.what) } : {}),
    }
  }

  private cords(): PatternSection[] {
    const advice = this.sayAll(cordLines(this.draft))
    return advice.length > 0 ? [{ part: 'cords', title: 'Cords', advice, lines: [] }] : []
  }

  sections(): PatternSection[] {
    const said = saidLines(this.draft, this.manner)
    // A turn-up that is none, and has nothing to say, is left out; a part of the wall never is, since they are numbered.
    const told = this.draft.parts.filter(({ from, rounds, advice }) => from.wall || from.base || rounds.length > 0 || advice.length > 0)
    return [...told.flatMap(part => [...this.pieces(part, true), this.section(part, said), ...this.pieces(part, false)]), ...this.cords()]
  }
}

/** A part lower than this is not measured: the tape is no surer than that. */
const WORTH_MEASURING_CM = 2

/** Length of the work when a part is done: the floor, or how tall it stands by then. */
function checkOf({ design: { units }, parts }: Draft, part: DraftPart): string | undefined {
  const { floor } = part.size
  const flat = isBase(part) && hasFloor(floor)
  if (part.rounds.length === 0 || (!flat && part.size.height.cm < WORTH_MEASURING_CM)) return undefined
  if (flat) return `The floor should now measure ${floorWords(floor, units)}.`
  if (part.laid) return `Each motif should now measure ${formatLength(floor!.length, units)} across.`
  const upTo = parts.slice(0, parts.indexOf(part) + 1)
  const height = upTo.reduce((sum, { size }) => ({ cm: sum.cm + size.height.cm, plusMinusCm: sum.plusMinusCm + size.height.plusMinusCm }), {
    cm: 0,
    plusMinusCm: 0,
  })
  return height.cm > 0 ? `The work should now measure ${formatLength(height, units)} from the floor to here, lying flat.` : undefined
}

/** Every way that a stitch of the bag is entered or joined, in the order of the cards. */
function cardsUsed(draft: Draft, sections: readonly PatternSection[]): CardId[] {
  const used = new Set<CardId>(sections.flatMap(({ lines }) => lines.flatMap(({ cards }) => cards)))
  if (draft.rounds.length > 0) used.add('both')
  const { stitched, sided } = traitsOf(draft.start)
  if (stitched || sided) used.add('foundationSc')
  if (sections.some(({ lines }) => lines.some(({ after }) => after))) used.add('colourChange')
  for (const { seam } of draft.parts) if (seam) used.add(seam)
  for (const { rows, free, seam = 'whipSeam' } of piecesOf(draft)) if (rows.length > 0 && !free) used.add(seam)
  return CARDS.map(({ id }) => id).filter(id => used.has(id))
}

function careOf({ design, parts }: Draft): string[] {
  const drawn = parts.some(({ casing }) => casing?.cords)
  return [
    'Rest your hands: a pause every half hour. Pain is for a clinician, not for another round.',
    'Keep hooks, scissors and stitch markers away from small children.',
    'Steam burns and melts acrylic: block cotton only, from the back, with the iron held off.',
    'A handmade bag has no rated load: try it low over the floor first.',
    ...(drawn ? ['Cords and loops can strangle: keep bags with cords away from cots, prams and small children.'] : []),
    ...(design.forChild ? ['For a child: no long cords or loops, no beads or buttons that come off. Your local safety law decides.'] : []),
  ]
}

/**
 * Writes a bag's pattern in one of the two vocabularies, and in one of the two styles of repeats.
 *
 * @param taught what its yarns weigh by the maker's own bags
 */
export function patternOf(draft: Draft, terms: Terms, repeats: RepeatStyle = 'brackets', taught: TaughtGrams = {}): Pattern {
  const writer = new Writer(draft, { terms, repeats })
  const sections = writer.sections()
  const notes = writer.sayAll(notesOf(draft, terms))
  const facts = headOf(draft, terms, writer.spoken.kinds, taught).map(({ name, value }) => ({ name, value: writer.say(value) }))
  const unfinished = unfinishedOf(draft, text => writer.say(text))
  const finishing = unfinished.length > 0 ? [] : writer.sayAll(finishingOf(draft).map(({ text }) => text))
  return {
    title: draft.design.name, terms, repeats, unfinished, facts,
    abbreviations: writer.spoken.abbreviations(), special: writer.spoken.special(), notes, sections, cards: cardsUsed(draft, sections),
    finishing, care: careOf(draft),
  }
}
