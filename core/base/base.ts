import type { PartResult, Setting } from '../part/part'
import { boat, type BoatSpec } from './boat'
import { bought, type BoughtSpec } from './bought'
import { circle, type CircleSpec } from './circle'
import { doubleDisc, type DoubleDiscSpec } from './doubleDisc'
import { folded, type FoldedSpec } from './folded'
import { oval, type OvalSpec } from './oval'
import { rectangle, type RectangleSpec } from './rectangle'
import { tube, type TubeSpec } from './tube'

/** The forms of floor, or of none, that a bag can start from (handbook 5). */
export const BASE_FORMS = ['circle', 'oval', 'boat', 'rectangle', 'tube', 'double-disc', 'bought', 'folded'] as const

export type BaseSpec = CircleSpec | OvalSpec | BoatSpec | RectangleSpec | TubeSpec | DoubleDiscSpec | BoughtSpec | FoldedSpec
export type BaseForm = BaseSpec['form']

type Forms = { [F in BaseForm]: (spec: Extract<BaseSpec, { form: F }>, setting: Setting) => PartResult }

const FORMS: Forms = { circle, oval, boat, rectangle, tube, 'double-disc': doubleDisc, bought, folded }

/** Works a base of any form. */
export function workBase<F extends BaseForm>(spec: Extract<BaseSpec, { form: F }>, setting: Setting): PartResult {
  return FORMS[spec.form as F](spec, setting)
}
