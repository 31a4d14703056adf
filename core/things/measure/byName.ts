/** A value for each of some names. */
export function byName<const K extends string, V>(names: readonly K[], of: (name: K, index: number) => V): Readonly<Record<K, V>> {
  return Object.fromEntries(names.map((name, i) => [name, of(name, i)])) as Record<K, V>
}
