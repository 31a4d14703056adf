import { BASE_FORMS } from '../../parts/base/forms'
import { WALL_KINDS } from '../../parts/wall/kinds'
import { designFields } from './documentFields'
import { knowEveryKind } from './everyKind'
import { swatchFields } from './swatchFields'

/*
 * The open documents, question by question: what their parts ask stands with their kinds. The validated classes (classes.ts) and the
 * published schema (schema.ts) are made from it.
 */

knowEveryKind()

/** A design as it is written to a file. */
export const DESIGN_FIELDS = designFields(BASE_FORMS, WALL_KINDS)

/** A swatch as it is written to a file. */
export const SWATCH_FIELDS = swatchFields()
