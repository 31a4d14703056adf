import type { Fields } from '../field/field'
import { beginnings } from '../kind/beginnings'
import { KnownKinds } from '../kind/registry'
import type { PartResult, Setting } from '../part/part'
import type { BaseChoice } from './baseChoice'
import type { BaseKind, Like } from './form'
import type { BaseSpec } from './forms'

export type { BaseSpec } from './forms'

/** A form as everybody but itself reads it. */
export type BaseForm = BaseKind<string, Fields, BaseSpec>

/** A form whose specs are not known: what a list of forms is read as. */
export type AnyForm = BaseKind<string, Fields, object>

const KNOWN = new KnownKinds<BaseForm>('form of base')

/** Makes forms of base known, in the order they are offered. */
export function knowForms(forms: readonly AnyForm[]): void {
  for (const form of forms) KNOWN.know(form.form, form as BaseForm)
}

/** Whether the form of a base is known. */
export function isKnownForm({ form }: { readonly form: string }): boolean {
  return KNOWN.has(form)
}

/** Every form of base that is known, in the order they are offered. */
export function baseForms(): readonly BaseForm[] {
  return KNOWN.all()
}

/** The form of a base. */
export function formOf({ form }: { readonly form: string }): BaseForm {
  return KNOWN.of(form)
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
