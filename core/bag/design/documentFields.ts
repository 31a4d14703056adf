import { CONTENT_KINDS } from '../../parts/contents/contents'
import { between, count, group, idText, length, list, oneOfKinds, optional, text } from '../../parts/field/questions'
import { CONTENT_CM } from '../../parts/field/bounds'
import type { Fields, LinesField, Label } from '../../parts/field/field'
import { versionField, word } from '../../parts/field/mark'
import { CALLED } from '../../parts/kind/kind'
import { BAG_FIELDS } from './bagFields'
import type { BaseSpec } from '../../parts/base/base'
import type { Contents } from '../../parts/contents/contents'
import type { WallSpec } from '../../parts/wall/wall'
import { GAUGE_FIELDS } from './gaugeFields'
import { MEASURED_PART_FIELDS } from './measures'
import { DESIGN_VERSION } from './versions'

/*
 * The whole design document, question by question, whatever kinds of base and part it may be made of.
 */

export const MOST_BANDS = 40
export const MOST_YARNS = 12
export const MOST_REPEATS = 30
const MOST_REPEAT_LINES = 24
const MOST_MEASURED = 40

/** The lines of a repeat of the maker's own. */
export const LINES: LinesField = { is: 'lines', label: 'Lines', most: MOST_REPEAT_LINES, longest: 300 }

const REPEAT = { id: idText('Id'), name: text('What you call it', 1, 80), lines: LINES } as const

/** Asks which yarn of the shelf something is, by its id there. */
export function onShelf(says: string) {
  const pattern = { source: '^[a-z0-9-]{1,40}$', message: 'must be 1 to 40 small letters, digits or dashes' }
  return optional(text('On the shelf', 1, 40, { pattern, says }))
}

const YARN = {
  id: idText('Id', { begins: 'main' }), name: text('Name', 1, 80, { begins: 'main yarn' }),
  colour: text('Colour', 7, 7, {
    begins: '#d9c8a5',
    pattern: { source: '^#[0-9a-f]{6}$', flags: 'i', message: 'must be a colour such as #7d8f5b' },
  }),
  shelf: onShelf('The id of the yarn of the shelf that it is; one that stands alone if left out.'),
} as const

const partId = text('Id', 1, 30, {
  pattern: { source: '^part-[a-z0-9]{1,24}$', message: 'must be part- and up to 24 small letters or digits' },
  says: 'What the part is known by wherever it is moved; ids of one wall must differ.',
})

/** A part of the wall in its place in a bag: known by its id wherever it is moved. */
export type WallPart = WallSpec & { readonly id: string }

/** The name of a document. */
export const nameField = (label: Label) => text(label, 1, 80)
/** The maker's own note. */
export const NOTE = text('Notes', 0, 4000, { begins: '' })
const TAGS = optional(text('Tags', 0, 200, { says: 'Words of the maker\'s own to find and sort bags by, between commas.' }))

/** Fields that every part of a wall has besides those of its kind. */
export function partFields(fields: Fields): Fields {
  return { id: partId, ...fields }
}

/** A design as it is written to a file, of these forms of base and kinds of part. */
export function designFields(
  forms: readonly { readonly form: string, readonly fields: Fields }[],
  parts: readonly { readonly kind: string, readonly fields: Fields }[],
) {
  return {
    fairHollow: word('design'), version: versionField(DESIGN_VERSION), name: nameField('Name'), note: NOTE,
    ...BAG_FIELDS, gauge: group('Gauge', GAUGE_FIELDS),
    yarns: list('Yarns', YARN, {
      one: 'yarn', all: 'yarns', least: 1, most: MOST_YARNS, begins: 'one',
      says: 'Ids must differ. Parts name the yarn they are worked in by its id.',
    }),
    contents: optional(
      oneOfKinds<Contents>(
        'It must hold',
        'kind',
        CONTENT_KINDS.map(({ kind, fields }) => ({ value: kind, fields })),
        { says: 'What the bag must hold.' },
      ),
    ),
    base: oneOfKinds<BaseSpec>(
      'Base',
      'form',
      forms.map(({ form, fields }) => ({ value: form, fields })),
      { says: 'What the bag starts from, told apart by its form.' },
    ),
    measuredBase: optional(
      group(
        'Measured base',
        {
          lengthCm: length('Length measured', CONTENT_CM, { usually: between(5, 60) }),
          widthCm: optional(length('Width measured', CONTENT_CM, { usually: between(1, 30) })),
          rounds: count('Rounds', between(1, 2001), { usually: between(1, 20) }),
          stitches: count('Stitches', between(1, 200_000), { usually: between(1, 120) }),
        },
        {
          says: 'What the finished base measured, and its rounds and edge stitches, by which it is known again. Refines the gauge for '
            + 'everything above.',
        },
      ),
    ),
    measured: optional(
      list('Measured parts', MEASURED_PART_FIELDS, {
        one: 'measured part', all: 'measured parts', least: 1, most: MOST_MEASURED, unasked: true,
        says: 'What parts of the bag measured, done or half done: what lies above them is drafted by it.',
      }),
    ),
    turnUpCalled: CALLED,
    wall: oneOfKinds<readonly WallPart[]>(
      'Wall',
      'kind',
      parts.map(({ kind, fields }) => ({ value: kind, fields: partFields(fields) })),
      {
        list: { all: 'bands', most: MOST_BANDS },
        says: 'Parts from the floor up, told apart by their kind.',
      },
    ),
    repeats: list('Repeats', REPEAT, {
      one: 'repeat', all: 'repeats', least: 0, most: MOST_REPEATS, begins: 'none',
      says: 'Stitch patterns of the maker\'s own, a line a round in US abbreviations; lines that begin with once: are worked the first '
        + 'time only.',
    }),
    tags: TAGS,
  } as const
}
