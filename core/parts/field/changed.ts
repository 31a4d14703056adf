/**
 * A spec with some of its answers changed. The changes are made by what the spec's own fields ask (a way of deciding its size, a count),
 * which no type of one kind says.
 */
export function changed<S extends object>(spec: S, changes: object): S {
  return { ...spec, ...changes }
}
