import { formatGrams } from '../../things/measure/amounts'
import { formatCm, type Units } from '../../things/measure/format'
import type { Deed, MakeEvent, MeasureDeed } from './event'
import { afterAll, type MakeLog } from './fold'

const MEASURES: Readonly<Record<MeasureDeed['what'], string>> = {
  'base-width': 'floor across', 'base-length': 'floor along', 'flat-width': 'width', 'height': 'height', 'part-height': 'height',
}

/** A round by its number, as the bag calls it: a row, in a flat piece. */
type NameRound = (round: number) => string

/** The round that a leg is, as makers say it. */
function placeOf(leg: string, name: NameRound): string {
  const round = /^r(\d+)$/.exec(leg)?.[1]
  if (round) return name(Number(round))
  const row = /\/row(\d+)$/.exec(leg)?.[1]
  return row ? `row ${row}` : leg === 'start' ? 'the start' : 'a step'
}

interface WordsIn {
  readonly units: Units
  readonly name: NameRound
}

type DeedWords = { readonly [Do in MakeEvent['do']]?: (deed: Extract<MakeEvent, { readonly do: Do }>, said: WordsIn) => string }

const DEEDS: DeedWords = {
  moved: ({ to: { leg, beats } }, { name }) => `the ${beats === 'all' ? 'end of' : 'last tap in'} ${placeOf(leg, name)}`,
  ripped: ({ toRound }, { name }) => (toRound === 0 ? 'ripping back to the start' : `ripping back to ${name(toRound)}`),
  counted: ({ round, found }, { name }) => `the count of ${name(round)}: ${found}`,
  measured: ({ what, round, cm }, { units, name }) => `the ${MEASURES[what]} after ${name(round)}: ${formatCm(cm, units)}`,
  leaned: () => 'the lean of the seam', stretched: () => 'the strip under a load',
  weighed: ({ grams }, { units }) => `the weight: ${formatGrams(grams, units)}`, looked: () => 'how the floor lies',
  noted: ({ marker }) => (marker ? 'the marker' : 'the note'), wrote: () => 'what was written in the logbook',
  replanned: ({ why }) => `the change of plan: ${why || 'changed on the bench'}`, finished: () => 'that the bag is finished',
}

/** A deed in a few words, as what undo takes back: `the count of round 8: 36`. */
export function deedWords(event: MakeEvent, units: Units, name: NameRound = round => `round ${round}`): string {
  const words = DEEDS[event.do] as ((deed: MakeEvent, said: WordsIn) => string) | undefined
  return words?.(event, { units, name }) ?? 'the last entry'
}

/** The caption of the undo button: one word, for it has little room. */
export function deedWord({ do: what }: MakeEvent): string {
  const words: Partial<Record<MakeEvent['do'], string>> = {
    ripped: 'rip', counted: 'count', measured: 'measure', leaned: 'lean', stretched: 'strip', weighed: 'weight', looked: 'floor',
    noted: 'note', wrote: 'entry', replanned: 'plan', finished: 'finish',
  }
  return words[what] ?? 'tap'
}

/** The event that takes the last deed back; nothing before there was one. */
export function undoing(log: MakeLog): Deed | undefined {
  const { lastDeed } = log.state
  if (!lastDeed) return undefined
  const moves = lastDeed.do === 'moved' || lastDeed.do === 'ripped'
  return { do: 'undone', of: lastDeed.id, ...(moves ? afterAll(log) : {}) }
}
