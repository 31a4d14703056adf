import { between, choice, count, figure, group, length, optional } from '../../parts/field/questions'
import { labelFrom } from '../../parts/field/field'
import { byName } from '../../things/measure/byName'
import { FABRIC_KINDS } from '../../things/stitch/dictionary'
import { hookLabel } from '../../things/stitch/hooks'

/*
 * Questions about a gauge: the hook, the strands, and what was counted on a swatch.
 */

const SWATCH_COUNT = between(1, 1000)
const SWATCH_CM = between(1, 200)

const MEASURED = {
  stitches: figure('Stitches', SWATCH_COUNT, '', { beside: true, usually: between(5, 60) }),
  rounds: figure('Rounds', SWATCH_COUNT, '', { beside: true, usually: between(4, 70) }),
  // Whoever counts over another length counts a square anew.
  overCm: length('Counted over', SWATCH_CM, { beside: true, usually: between(5, 20), along: () => ({ tallCm: undefined }) }),
  tallCm: optional(
    length('Tall', SWATCH_CM, {
      unasked: true, usually: between(5, 20), says: 'Height the rounds were counted over; as tall as it is wide if left out.',
    }),
  ),
} as const

const MEASURED_SAYS
  = 'A count on a swatch: stitches across overCm, rounds up tallCm (or up overCm). One stitch must come out between 0.05 and 12 cm.'

/** Counts of a swatch, by the stitch that was counted. */
export const MEASURED_KINDS = byName(FABRIC_KINDS, kind => optional(group(`{${kind}}`, MEASURED, { says: MEASURED_SAYS })))

/** Questions about a gauge. */
export const GAUGE_FIELDS = {
  hookMm: figure(
    labelFrom((gauge: { readonly hookMm: number }) => `Hook: ${hookLabel(gauge.hookMm)}`),
    between(0.5, 40),
    'mm',
    { beside: true, usually: between(2, 8) },
  ),
  strands: count('Strands', between(1, 12), { beside: true, begins: 1, usually: between(1, 4) }),
  measured: group('Counted', MEASURED_KINDS, { unasked: true, least: 1, says: 'At least one stitch has to be measured.' }),
  chain: optional(
    group(
      'A chain',
      {
        chains: figure('Chains', SWATCH_COUNT, '', { beside: true, usually: between(5, 40) }),
        overCm: length('Over a length of', SWATCH_CM, { beside: true, usually: between(5, 20) }),
      },
      { unasked: true, says: 'A length of chain counted.' },
    ),
  ),
  assumed: optional(
    choice(
      'Assumed',
      [
        { value: true, name: 'yes' },
        { value: false, name: 'no' },
      ],
      { unasked: true, says: 'True while nobody has made a swatch.' },
    ),
  ),
  learnt: optional(
    group(
      'Learnt',
      {
        bags: count('Bags behind it', between(1, 10_000)),
        widePercent: figure('Good across to', between(0.1, 50), '%', { usually: between(1, 12) }),
        tallPercent: figure('Good up to', between(0.1, 50), '%', { usually: between(1, 12) }),
        flatFrom: optional(figure('Floors lay flat from', between(0.2, 3), 'of flat', { usually: between(0.9, 1) })),
        flatTo: optional(figure('Floors lay flat to', between(0.2, 3), 'of flat', { usually: between(1, 1.4) })),
      },
      { unasked: true, says: 'Where the gauge was learnt from finished bags: how many, and what it is good to, nine times of ten.' },
    ),
  ),
  worked: optional(
    choice('The swatch was worked', [
      { value: 'unturned', name: 'same side facing' },
      { value: 'turned', name: 'turned' },
    ]),
  ),
} as const
