import type { Design } from '~~/core/bag/design/design'
import { mergedDesign } from '~~/core/bag/design/merge'
import { same } from '~~/core/things/measure/same'
import type { Hindrance, SentSave, StoredBag } from '../bagStorage'
import { type Answer, AWAY } from './answer'

/*
 * How a bag stands with the server, and what comes next
 * =====================================================
 *
 * A bag here is `design`; the server is known to have `base`, as `revision`. Where they differ the bag is sent. A save that was not
 * answered may have been kept: it is sent again as it was (`sent`), by its id. A server that has another revision is asked for it, and the
 * two are merged against `base`. `afterwards` says how the bag stands after something happened, `nextStep` what is to be done then:
 * neither knows a clock, a network or a page.
 */

/** `asking`: overtaken, and the server's state is asked for. `overtaken`: both changed the same, or it was deleted: the maker decides. */
export type Phase = 'saved' | 'waiting' | 'sending' | 'asking' | 'failed' | 'overtaken' | 'refused'

/** How a bag stands with the server. */
export interface BagSending {
  readonly phase: Phase
  readonly revision: number
  readonly base: Design
  readonly design: Design
  readonly sent?: SentSave
  readonly why?: Hindrance
  /** The server's own words about the trouble. */
  readonly words: readonly string[]
  /** Failures in a row. */
  readonly failures: number
}

/** A bag as the server has it now. */
export interface Theirs {
  readonly revision: number
  readonly document: Design
}

/** Something that happens to a bag and its saves. */
export type Happening
  = | { readonly is: 'edited', readonly design: Design }
    | { readonly is: 'sending', readonly save: SentSave }
    | { readonly is: 'answered', readonly answer: Answer<{ readonly revision: number }> }
    /** The server's state came: nothing if it could not be had. */
    | { readonly is: 'theirs', readonly theirs: Theirs | 'gone' | undefined }

/** Whether the server is not known to have the bag as it is here. */
export function isUnsaved({ design, base, sent }: Pick<BagSending, 'design' | 'base' | 'sent'>): boolean {
  return design !== base || sent !== undefined
}

/** The next request to the server; nothing where there is nothing to send, or the maker has to decide. */
export function nextStep({ phase }: Pick<BagSending, 'phase'>): 'send' | 'fetch' | undefined {
  if (phase === 'waiting' || phase === 'failed') return 'send'
  return phase === 'asking' ? 'fetch' : undefined
}

/** Without what was sent and what stood in the way. */
function cleared({ sent: _, why: __, ...bag }: BagSending): BagSending {
  return { ...bag, words: [] }
}

/** A bag and a base that say the same are one object: an edit that was taken back leaves another one. */
function settled(bag: BagSending): BagSending {
  const one = same(bag.design, bag.base) ? { ...bag, base: bag.design } : bag
  return isUnsaved(one) ? { ...one, phase: 'waiting' } : { ...cleared(one), phase: 'saved', failures: 0 }
}

function hindered(bag: BagSending, why: Hindrance, words: readonly string[] = []): BagSending {
  return { ...cleared(bag), phase: why === 'refused' ? 'refused' : 'overtaken', why, words, failures: 0 }
}

function failed(bag: BagSending, words: readonly string[]): BagSending {
  return { ...bag, phase: 'failed', words, failures: bag.failures + 1 }
}

/** A bag as it is opened: from the server's state, or with what was left unsaved here. */
export function opened({ revision, base, design, sent }: Pick<StoredBag, 'revision' | 'base' | 'design' | 'sent'>): BagSending {
  return settled({ phase: 'saved', revision, base, design, ...(sent ? { sent } : {}), words: [], failures: 0 })
}

/** How a bag stands after something happened. */
export function afterwards(bag: BagSending, happened: Happening): BagSending {
  switch (happened.is) {
    case 'edited': return edited({ ...bag, design: happened.design })
    case 'sending': return { ...bag, phase: 'sending', sent: happened.save }
    case 'answered': return answered(bag, happened.answer)
    case 'theirs': return meeting(bag, happened.theirs)
  }
}

/** On its way, an answer says what comes next; where the maker has to decide, edits are kept and not sent. */
function edited(bag: BagSending): BagSending {
  if (bag.phase === 'sending' || bag.phase === 'asking' || bag.phase === 'overtaken') return bag
  return settled(bag.phase === 'refused' ? cleared(bag) : bag)
}

function answered(bag: BagSending, answer: Answer<{ readonly revision: number }>): BagSending {
  const { sent, ...rest } = bag
  switch (answer.is) {
    case 'kept': return settled({ ...rest, revision: answer.body.revision, base: sent!.design, failures: 0 })
    case 'overtaken': return { ...rest, phase: 'asking' }
    case 'gone': case 'unknown': return hindered(bag, 'gone')
    case 'refused': return hindered(bag, 'refused', answer.words)
    case 'away': return failed(bag, answer.words)
  }
}

function meeting(bag: BagSending, theirs: Theirs | 'gone' | undefined): BagSending {
  // What came may have our own save in it, and would clash with what was edited since: that is asked first.
  if (bag.sent) return bag
  if (theirs === undefined) return failed(bag, [AWAY])
  if (theirs === 'gone') return hindered(bag, 'gone')
  const { document, revision } = theirs
  const design = !isUnsaved(bag) || same(bag.design, document) ? document : mergedDesign(bag.base, bag.design, document)
  return design ? settled({ ...cleared(bag), design, base: document, revision }) : hindered(bag, 'overtaken')
}

const SAID: Readonly<Record<Exclude<Hindrance, 'refused'>, string>> = {
  overtaken: 'This bag was changed elsewhere, where you changed it too. Yours is kept here: keep it as a copy, or open the other.',
  gone: 'This bag was deleted elsewhere. Yours is kept here: keep it as a copy, or restore the bag.',
}
const HERE = 'What you changed is kept here.'
const NOT_HERE = 'This browser keeps nothing: what you changed is on this page alone. Leave it open, or save the bag to a file.'

/** The trouble with a bag's saves, in words for the maker. */
export function troubleOf({ why, words, failures }: BagSending, isKeptHere: boolean): readonly string[] {
  if (why && why !== 'refused') return [SAID[why]]
  return failures > 0 ? [...words, isKeptHere ? HERE : NOT_HERE] : words
}
