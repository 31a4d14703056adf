import { formatGrams } from '../measure/amounts'
import { formatCm, type Units } from '../measure/format'
import type { Deed, MakeEvent, Measured } from './event'
import { afterAll, type MakeLog } from './fold'

const MEASURES: Readonly<Record<Measured['what'], string>> = {
  'base-width': 'floor across', 'base-length': 'floor along', 'flat-width': 'width', 'height': 'height', 'part-height': 'height',
}

/** The round that a leg is, as makers say it. */
function placeOf(leg: string): string {
  const round = /^r(\d+)$/.exec(leg)?.[1]
  if (round) return `round ${round}`
  const row = /\/row(\d+)$/.exec(leg)?.[1]
  return row ? `row ${row}` : leg === 'start' ? 'the start' : 'a step'
}

/** A deed in a few words, as what undo takes back: `the count of round 8: 36`. */
export function deedWords(event: MakeEvent, units: Units): string {
  switch (event.do) {
    case 'moved': return event.to.beats === 'all' ? `the end of ${placeOf(event.to.leg)}` : `the last tap in ${placeOf(event.to.leg)}`
    case 'ripped': return event.toRound === 0 ? 'ripping back to the start' : `ripping back to round ${event.toRound}`
    case 'counted': return `the count of round ${event.round}: ${event.found}`
    case 'measured': return `the ${MEASURES[event.what]} after round ${event.round}: ${formatCm(event.cm, units)}`
    case 'leaned': return 'the lean of the seam'
    case 'stretched': return 'the strip under a load'
    case 'weighed': return `the weight: ${formatGrams(event.grams, units)}`
    case 'looked': return 'how the floor lies'
    case 'noted': return event.marker ? 'the marker' : 'the note'
    case 'wrote': return 'what was written in the logbook'
    case 'replanned': return `the change of plan: ${event.why || 'changed on the bench'}`
    case 'finished': return 'that the bag is finished'
    default: return 'the last entry'
  }
}

/** What undo is called on its button, in a word: it has little room. */
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
