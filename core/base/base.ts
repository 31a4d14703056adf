import type { PartResult, Setting } from '../part/part'
import { circle, type CircleSpec } from './circle'

/** The forms of floor a bag can start from. */
export const BASE_FORMS = ['circle'] as const

export type BaseSpec = CircleSpec

type Forms = { [F in BaseSpec['form']]: (spec: Extract<BaseSpec, { form: F }>, setting: Setting) => PartResult }

const FORMS: Forms = { circle }

/** Works a floor of any form. */
export function workBase(spec: BaseSpec, setting: Setting): PartResult {
  return FORMS[spec.form](spec, setting)
}
