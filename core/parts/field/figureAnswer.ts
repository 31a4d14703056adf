import type { Change } from '../part/finding'
import { type PlacedField, valueAt } from './placedField'

/** Whether a figure is asked for: not where a word or a taught number stands in its place. */
export function asksFigure({ field, value }: PlacedField): boolean {
  if (field.is === 'figure' || field.is === 'length') return true
  return field.is === 'count' && (!field.taught || (typeof value === 'number' && field.taught.every(one => one.value !== value)))
}

/** A figure answered, and others of its group that it takes along; nothing to leave it out. */
export function figureAnswered({ field, path }: PlacedField, value: number | undefined, spec: object): Change[] {
  const group = path.slice(0, -1)
  const along = field.is === 'length' && value !== undefined ? field.along?.(value, valueAt(spec, group) as object) : undefined
  return [{ path, value }, ...Object.entries(along ?? {}).map(([name, to]): Change => ({ path: [...group, name], value: to }))]
}
