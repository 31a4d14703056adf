import { BASE_FORMS } from '../../parts/base/forms'
import { between, count, group, text } from '../../parts/field/questions'
import { word } from '../../parts/field/mark'
import { WALL_KINDS } from '../../parts/wall/kinds'
import { SWATCH_VERSION } from './design'
import { designFields, LINES, nameField, NOTE, onShelf } from './documentFields'
import { knowEveryKind } from './everyKind'
import { GAUGE_FIELDS } from './gaugeFields'
import { keptTextureField } from './textureSwatch'

/*
 * The open documents, question by question: what their parts ask stands with their kinds. The validated classes (classes.ts) and the
 * published schema (schema.ts) are made from it.
 */

knowEveryKind()

/** A design as it is written to a file. */
export const DESIGN_FIELDS = designFields(BASE_FORMS, WALL_KINDS)

/** A swatch as it is written to a file. */
export const SWATCH_FIELDS = {
  fairHollow: word('swatch'), version: count('Version', between(1, SWATCH_VERSION)), name: nameField('Name'), note: NOTE,
  yarn: text('Yarn', 0, 120, { begins: '' }), shelf: onShelf('The id of the yarn of the shelf that it was made in, if that lies there.'),
  gauge: group('Gauge', GAUGE_FIELDS), texture: keptTextureField(LINES),
} as const
