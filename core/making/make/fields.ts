import { between, choice, count, figure, oneOfKinds, optional, text } from '../../parts/field/questions'
import { versionField, word } from '../../parts/field/mark'
import { DEED_FIELDS, ROUND, STAMP_FIELDS } from './deedFields'
import type { MakeEvent } from './event'

/*
 * The open document of a make, question by question: what validates it and what describes it is made from here. The designs inside
 * (`plan`) are documents of their own, read as such.
 */

/** Version of the open make document that this program writes. */
export const MAKE_VERSION = 1

/** More events than this no bag takes: ten times the taps of a very large one. */
export const MOST_EVENTS = 200_000

/** A photo of some 500 kB, in letters. */
const MOST_PHOTO_LETTERS = 700_000

const EVENTS = Object.entries(DEED_FIELDS).map(([value, fields]) => ({ value, fields: { ...STAMP_FIELDS, ...fields } }))

/** Events, told apart by what was done; the design of those that hold one is taken out before. */
export const EVENT_FIELDS = {
  events: oneOfKinds<readonly MakeEvent[]>('Events', 'do', EVENTS, {
    list: { all: 'events', most: MOST_EVENTS },
    says: 'What happened to the bag, told apart by what was done; the order in the list does not matter.',
  }),
} as const

export const MAKE_FIELDS = {
  fairHollow: word('make'),
  version: versionField(MAKE_VERSION),
  name: text('Name', 1, 80),
  photo: optional(text('Photo', 0, MOST_PHOTO_LETTERS, {
    says: 'A photo of the bag, small.',
    pattern: { source: '^data:image/jpeg;base64,[A-Za-z0-9+/=]*$', message: 'must be a JPEG as data:image/jpeg;base64,...' },
  })),
  ...EVENT_FIELDS,
} as const

/** How far a make is, as its devices tell the server for lists. */
export const PROGRESS_FIELDS = {
  round: count('Round', ROUND, { says: 'The round in hand; 0 before the first.' }), of: count('Of', ROUND),
  share: figure('Share', between(0, 1), '', { says: 'Of all stitches those that are made; steps at the end count a little.' }),
  words: text('Words', 0, 200), finished: optional(choice('Finished', [{ value: true, name: 'finished' }])),
} as const
