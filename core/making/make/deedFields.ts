import { between, choice, count, countOr, figure, group, length, optional, text } from '../../parts/field/questions'
import type { LinesField } from '../../parts/field/field'
import { STRETCH_FIELDS } from '../../bag/design/bagFields'
import { MEASURES } from '../../bag/design/measures'

/*
 * Records of a bag on the hook, deed by deed: the events' types (event.ts), their rules and their schema come from here.
 */

export const ROUND = between(0, 100_000)
const COUNT = between(0, 1_000_000)
const round = (says?: string) => count('Round', ROUND, says ? { says } : {})

const ID = text('Id', 1, 64, { pattern: { source: '^[A-Za-z0-9._-]{1,64}$', message: 'must be 1 to 64 letters, digits, dots or dashes' } })

/** When and where something happened. */
export const STAMP_FIELDS = {
  id: ID, turn: count('Turn', between(1, Number.MAX_SAFE_INTEGER), { says: 'Orders events without a common clock.' }),
  at: figure('At', between(0, 8.64e15), '', {
    says: 'The device\'s time in milliseconds since 1970, for the record and the pace; nothing is ordered by it.',
  }),
} as const

const SPOT = group('Spot', {
  leg: text('Leg', 1, 120, { says: 'The leg\'s id on the road: `start`, `r12`, ...' }),
  beats: countOr('all', 'Beats', COUNT),
})

/** The moves that the hook had made before, as far as the device knew: usually one; none before the first. */
const AFTER: LinesField & { readonly optional: true } = { is: 'lines', label: 'After', most: 64, longest: 64, optional: true }

function options<const V extends string>(...values: readonly V[]) {
  return values.map(value => ({ value, name: value }))
}

const KEPT_FIGURES = {
  sittings: count('Sittings', COUNT), minutes: figure('Minutes', between(0, 1_000_000), 'min'), rounds: count('Rounds', ROUND),
  stitches: count('Stitches', between(0, 100_000_000)), ripped: count('Rounds ripped back', COUNT),
  off: count('Counts off', COUNT, { says: 'Counts that were not the planned ones.' }),
} as const

/** Deeds that set a plan: the design stands in them under `plan`, and is read as a document of its own. */
export const PLAN_DEEDS = ['started', 'replanned'] as const

/** The fields of each deed. */
export const DEED_FIELDS = {
  started: { bag: optional(text('Bag', 0, 64, { says: 'The kept bag that it was taken from.' })) },
  moved: { to: SPOT, after: AFTER },
  ripped: {
    toRound: count('To round', ROUND, { says: 'Rounds undone, down to the end of this one; 0 is back to the very start.' }), after: AFTER,
  },
  counted: {
    round: round(), planned: count('Planned', COUNT), found: count('Found', COUNT),
    choice: choice('Choice', options('as-planned', 'live-with-it', 'next-round')),
    to: optional(count('To', COUNT, { says: 'Of one put right in the next round: the count it is brought to.' })),
  },
  measured: {
    round: round('The last round done when the tape was laid on.'), what: choice('What', MEASURES.map(value => ({ value, name: value }))),
    cm: length('Measured', between(0.1, 1000)),
    redrafts: optional(choice('Redrafts', [{ value: true, name: 'what is still to come is drafted by it' }], {
      says: 'Left out, it is written down for the record, and the plan stays as it is.',
    })),
  },
  leaned: {
    round: round(),
    perTen: figure('Stitches in ten rounds', between(-20, 20), 'sts', { says: 'How far the seam of joined rounds leaned.' }),
  },
  stretched: { round: round(), strip: group('Strip', STRETCH_FIELDS, { says: 'A strip hung up with a weight on it.' }) },
  weighed: {
    yarn: text('Yarn', 1, 24, { says: 'By its id in the plan.' }), grams: figure('Grams', between(0, 100_000), 'g'),
    of: optional(choice('Of', options('left', 'work'), { says: 'The load of the scales: what is left of the yarn, if left out.' })),
    round: optional(round('The last round done; of old events it is not known.')),
  },
  looked: { round: round(), lies: choice('It lies', options('flat', 'cups', 'ripples')) },
  wrote: {
    forWhom: optional(text('For whom', 0, 120)), hookMm: optional(figure('Hook', between(0.5, 40), 'mm')),
    yarnUsed: optional(text('Yarn', 0, 200)), notes: optional(text('Notes', 0, 4000)),
    kept: optional(group('Kept figures', KEPT_FIGURES, {
      says: 'Of a bag that came in by a table: what the table says of it, for nothing of it was worked at this hook.',
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
} as const
