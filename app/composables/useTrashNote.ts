import { shallowRef } from 'vue'

/** The document thrown away last, and how it comes back: for the note that says so. */
export function useTrashNote<K extends { readonly id: string }>(shelf: {
  readonly remove: (id: string) => Promise<K | undefined>
  readonly bringBack: (id: string) => Promise<void>
}) {
  const gone = shallowRef<K>()

  async function throwAway(id: string): Promise<void> {
    gone.value = await shelf.remove(id)
  }

  async function takeBack(): Promise<void> {
    const back = gone.value
    gone.value = undefined
    if (back) await shelf.bringBack(back.id)
  }

  return { gone, throwAway, takeBack }
}
