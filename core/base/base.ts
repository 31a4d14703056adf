import type { Fields } from '../field/field'
import { beginnings } from '../kind/begin'
import type { PartResult, Setting } from '../part/part'
import type { BaseChoice } from './choice'
import type { BaseKind, Like } from './form'
import { BASE_FORMS, type BaseSpec } from './forms'

export type { BaseSpec } from './forms'

/** A form as everybody but itself reads it. */
export type BaseForm = BaseKind<string, Fields, BaseSpec>

const BY_FORM = new Map<string, BaseForm>(BASE_FORMS.map(form => [form.form, form as unknown as BaseForm]))

/** Every form of base, in the order they are offered. */
export function baseForms(): readonly BaseForm[] {
  return [...BY_FORM.values()]
}

/** The form of a base. */
export function formOf({ form }: { readonly form: string }): BaseForm {
  const found = BY_FORM.get(form)
  if (!found) throw new Error(`no form of base is called ${form}: documents are checked before they get here`)
  return found
}

/** Works a base of any form. */
export function workBase(spec: BaseSpec, setting: Setting): PartResult {
  return formOf(spec).work(spec, setting)
}

/** A base of another form, about as large as the one before, with what is usual for it. */
export function beginBase(form: string, like: Like): BaseSpec {
  const kind = formOf({ form })
  return { form, ...beginnings(kind.fields), stitch: like.stitch, colour: like.colour, ...kind.begins(like) } as BaseSpec
}

/** Every base of the same form within a tolerance of what is wanted (or of what it is now, if its counts are pinned). */
export function baseChoices(spec: BaseSpec, setting: Setting, toleranceCm: number): (BaseChoice & { readonly base: BaseSpec })[] {
  return formOf(spec).choices(spec, setting, toleranceCm) as (BaseChoice & { readonly base: BaseSpec })[]
}
