import type { Field } from './field'

/** An action for a field of each sort: a further sort is a further row here, and every reader is told so by its type. */
export type BySort<R> = { readonly [S in Field['is']]: (field: Extract<Field, { readonly is: S }>) => R }

/** Reads a field by its sort. */
export function readBy<R>(rows: BySort<R>, field: Field): R {
  return (rows[field.is] as (field: Field) => R)(field)
}
