import { onMounted, shallowRef, type ShallowRef } from 'vue'
import { unfinishedFormOf } from '~/keeping/unfinishedForms'
import type { KeptRecord } from '~/stores/records'

/** A document being entered: a new one, or one that is kept. */
interface Entering<D> {
  readonly document: D
  readonly kept?: KeptRecord<D>
}

/** A list of documents that one is entered for. */
interface EntryList<D> {
  readonly load: () => Promise<void>
  readonly add: (document: D) => Promise<boolean>
  readonly save: (old: KeptRecord<D>, document: D) => Promise<boolean>
}

/**
 * Enters documents on the page of their list: a new one or a kept one. What is half entered when the page ends is found again.
 *
 * @param all the documents of the list
 * @param upToDate a document that an earlier version of the program left half entered, as this one means it
 */
export function useEntering<D>(
  sort: 'swatch' | 'yarn', list: EntryList<D>, all: () => readonly KeptRecord<D>[], upToDate: (document: D) => D = document => document,
) {
  const written = unfinishedFormOf<D>(sort)
  const entering: ShallowRef<Entering<D> | undefined> = shallowRef()

  onMounted(async () => {
    await list.load()
    const left = written.left()
    const kept = left?.id === undefined ? undefined : all().find(({ id }) => id === left.id)
    if (left && (left.id === undefined || kept)) enter(upToDate(left.document), kept)
  })

  function enter(document: D, kept?: KeptRecord<D>): void {
    entering.value = { document, ...(kept ? { kept } : {}) }
  }

  function leave(): void {
    written.end()
    entering.value = undefined
  }

  async function keep(document: D): Promise<void> {
    const kept = entering.value?.kept
    if (await (kept ? list.save(kept, document) : list.add(document))) leave()
  }

  return { entering, enter, leave, keep, write: (document: D) => written.keep(document, entering.value?.kept?.id) }
}
