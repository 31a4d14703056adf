import { computed } from 'vue'
import type { Design } from '~~/core/design/design'
import type { Writable } from '~~/core/design/edit'
import { useBench } from '~/stores/bench'

type WritablePart = Writable<Design>['wall'][number]

/** One part of the wall on the bench: as drafted, and a way to change some of its fields; a field set to `undefined` is left out. */
export function useWallPart(index: () => number) {
  const bench = useBench()
  const part = computed(() => bench.draft!.parts.find(({ id }) => id === `wall.${index()}`))

  /** Keystrokes in one field, told by `group`, are one edit. */
  function set(label: string, change: object, group?: string): void {
    bench.edit(label, (design) => {
      const spec = design.wall[index()]! as WritablePart & Record<string, unknown>
      for (const [field, value] of Object.entries(change)) {
        if (value === undefined) Reflect.deleteProperty(spec, field)
        // What comes from the document is frozen; the edit wants a copy of its own.
        else (spec as Record<string, unknown>)[field] = JSON.parse(JSON.stringify(value))
      }
    }, group && `wall.${index()}.${group}`)
  }

  return { part, set }
}
