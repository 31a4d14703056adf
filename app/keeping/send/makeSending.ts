import type { MakeEvent } from '~~/core/making/make/event'
import type { Answer } from './answer'

/*
 * How the queue of events stands with the server, and what an answer asks for. Events are a set: they never clash, and one that is sent
 * twice is kept once, so that nothing has to be merged.
 */

/** Events of a make that the server has and this device may not, and the number of the last of them. */
export interface NewEvents {
  readonly events: readonly MakeEvent[]
  readonly upTo: number
}

/** How the queue stands: failures in a row, and why the server would not take what was sent, if it would not. */
export interface QueueSending {
  readonly failures: number
  readonly refused?: string
}

/** Nothing is the matter. */
export const ALL_WELL: QueueSending = { failures: 0 }

/** The step after an answer that took nothing: forget the make, send it from its beginning, or try again later. */
type QueueStep = 'forget' | 'from-beginning' | 'later'

/**
 * The step after an answer that took nothing.
 *
 * @param hadBeginning whether the event that began the make was among those sent: a server that has no such make then is tried again
 */
export function queueStep({ is }: Answer<NewEvents>, hadBeginning: boolean): QueueStep {
  switch (is) {
    case 'gone': return 'forget'
    // It has another database, or never had the make.
    case 'unknown': return hadBeginning ? 'later' : 'from-beginning'
    default: return 'later'
  }
}

/** How the queue stands after an answer for which it has to wait. */
export function queueFailed({ failures, refused }: QueueSending, answer?: Answer<NewEvents>): QueueSending {
  const why = answer?.is === 'refused' ? answer.words[0] : refused
  return { failures: failures + 1, ...(why ? { refused: why } : {}) }
}
