import { between, choice, count, countOr, figure, group, length, oneOfKinds, optional, text } from '../../parts/field/questions'
import type { Fields, LinesField } from '../../parts/field/field'
import { MAKE_VERSION } from './document'
import { MEASURES } from '../../bag/design/measures'
import { STRETCH_FIELDS } from '../../bag/design/bagFields'
import { COUNT_CHOICES, LIES } from './event'

/*
 * The open document of a make, question by question: what validates it and what describes it is made from here. The designs inside
 * (`plan`) are documents of their own, read as such.
 */

/** More events than this no bag takes: ten times the taps of a very large one. */
export const MOST_EVENTS = 200_000

/** A photo of some 500 kB, in letters. */
const MOST_PHOTO_LETTERS = 700_000

const ID = text('Id', 1, 64, { pattern: { source: '^[A-Za-z0-9._-]{1,64}$', message: 'must be 1 to 64 letters, digits, dots or dashes' } })
const ROUND = between(0, 100_000)
const COUNT = between(0, 1_000_000)

const STAMP = {
  id: ID, turn: count('Turn', between(1, Number.MAX_SAFE_INTEGER), { says: 'Orders events without a common clock.' }),
  at: figure('At', between(0, 8.64e15), '', { says: 'The device\'s time in milliseconds since 1970, for the record and the pace.' }),
} as const

const SPOT = group('Spot', {
  leg: text('Leg', 1, 120), beats: countOr('all', 'Beats', COUNT),
})

/** The moves that one comes after. */
const AFTER: LinesField & { readonly optional: true } = { is: 'lines', label: 'After', most: 64, longest: 64, optional: true }

function options<V extends string>(values: readonly V[]) {
  return values.map(value => ({ value, name: value }))
}

const OWN: Readonly<Record<string, Fields>> = {
  started: { bag: optional(text('Bag', 0, 64)) },
  moved: { to: SPOT, after: AFTER },
  ripped: { toRound: count('To round', ROUND), after: AFTER },
  counted: {
    round: count('Round', ROUND), planned: count('Planned', COUNT), found: count('Found', COUNT),
    choice: choice('Choice', options(COUNT_CHOICES)), to: optional(count('To', COUNT)),
  },
  measured: {
    round: count('Round', ROUND), what: choice('What', options(MEASURES)), cm: length('Measured', between(0.1, 1000)),
    redrafts: optional(choice('Redrafts', [{ value: true, name: 'what is still to come is drafted by it' }])),
  },
  leaned: { round: count('Round', ROUND), perTen: figure('Stitches in ten rounds', between(-20, 20), 'sts') },
  stretched: { round: count('Round', ROUND), strip: group('Strip', STRETCH_FIELDS) },
  weighed: {
    yarn: text('Yarn', 1, 24), grams: figure('Grams', between(0, 100_000), 'g'), of: optional(choice('Of', options(['left', 'work']))),
    round: optional(count('Round', ROUND)),
  },
  looked: { round: count('Round', ROUND), lies: choice('It lies', options(LIES)) },
  wrote: {
    forWhom: optional(text('For whom', 0, 120)), hookMm: optional(figure('Hook', between(0.5, 40), 'mm')),
    yarnUsed: optional(text('Yarn', 0, 200)), notes: optional(text('Notes', 0, 4000)),
    kept: optional(group('Kept figures', {
      sittings: count('Sittings', COUNT), minutes: figure('Minutes', between(0, 1_000_000), 'min'), rounds: count('Rounds', ROUND),
      stitches: count('Stitches', between(0, 100_000_000)), ripped: count('Rounds ripped back', COUNT), off: count('Counts off', COUNT),
    })),
  },
  noted: {
    text: text('Text', 1, 2000), where: optional(SPOT),
    marker: choice('Marker', [{ value: true, name: 'a marker stands there' }, { value: false, name: 'no marker' }]),
  },
  replanned: { why: text('Why', 0, 200) },
  paused: {},
  goneOn: {},
  finished: {},
  undone: { of: ID, after: AFTER },
}

/** Events, told apart by what was done; the design of those that hold one is taken out before. */
export const EVENT_FIELDS = {
  events: oneOfKinds('Events', 'do', Object.entries(OWN).map(([value, fields]) => ({ value, fields: { ...STAMP, ...fields } })), {
    list: { all: 'events', most: MOST_EVENTS },
    says: 'What happened to the bag, told apart by what was done; the order in the list does not matter.',
  }),
} as const

export const MAKE_FIELDS: Fields = {
  fairHollow: text('', 4, 4, { pattern: { source: '^make$', message: 'must be make' } }),
  version: count('Version', between(1, MAKE_VERSION)),
  name: text('Name', 1, 80),
  photo: optional(text('Photo', 0, MOST_PHOTO_LETTERS, {
    pattern: { source: '^data:image/jpeg;base64,[A-Za-z0-9+/=]*$', message: 'must be a JPEG as data:image/jpeg;base64,...' },
  })),
  ...EVENT_FIELDS,
}

/** How far a make is, as its devices tell the server for lists. */
export const PROGRESS_FIELDS: Fields = {
  round: count('Round', ROUND), of: count('Of', ROUND), share: figure('Share', between(0, 1), ''), words: text('Words', 0, 200),
}
