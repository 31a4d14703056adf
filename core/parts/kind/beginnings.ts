import type { Fields } from '../field/field'
import type { AnyKind, Keeps } from './kind'

/** Values that questions begin with, where they say one. */
export function beginnings(fields: Fields): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(fields).flatMap(([name, field]) =>
      !field.optional && 'begins' in field && field.begins !== undefined ? [[name, field.begins]] : [],
    ),
  )
}

/** A new part of a kind: as its fields begin, and as it begins from what stands there. */
export function begun(kind: AnyKind, keeps: Keeps): { readonly kind: string, readonly colour: string } {
  return { kind: kind.kind, ...beginnings(kind.fields), colour: keeps.yarn.colour, ...(kind.begins(keeps) as object) }
}
