import { defineStore } from 'pinia'
import { computed, reactive, ref, shallowRef } from 'vue'
import { type LongAsk, useLongWork } from './longWork'
import { ask, refusalLines, useTrying } from './records'

/** A copy of everything. */
export interface Copy {
  readonly name: string
  readonly madeAt: string
  readonly why: 'daily' | 'asked' | 'before-update' | 'before-restore'
  readonly bytes: number
}

interface Copies {
  readonly copies: readonly Copy[]
  /** How many are kept of each reason. */
  readonly kept: Readonly<Record<'days' | 'weeks' | 'asked' | 'before-update' | 'before-restore', number>>
  /** The room that they take, and may take. */
  readonly bytes: number
  readonly mostBytes: number
  readonly folder: string
  /** Documents that were found cut short or otherwise unreadable, and are set aside. */
  readonly broken: readonly { readonly sort: string, readonly name: string, readonly foundAt: string }[]
  /** Why the records are barred, where they are, and whether they are damaged. */
  readonly barred?: string
  readonly isDamaged: boolean
}

/** The trash. */
export interface TrashedThing {
  readonly kind: 'designs' | 'swatches' | 'yarns' | 'orders' | 'makes'
  readonly id: string
  readonly name: string
  readonly removedAt: string
}

/** A file of a parcel: what is in it, and whether the very same is here; or why it cannot be read. */
export interface ParcelFile {
  readonly file: string
  readonly name: string
  readonly sort?: 'design' | 'swatch' | 'yarn' | 'order' | 'make'
  readonly there?: boolean
  readonly why?: readonly string[]
}

interface Device {
  readonly id: string
  readonly name: string
  readonly pairedAt: string
  readonly seenAt: string
}

/** How the program stands with phones. */
interface Phone {
  readonly open: boolean
  readonly addresses: readonly string[]
  readonly code?: { readonly code: string, readonly until: number }
  /** Whether this is the machine that the program runs on. */
  readonly here: boolean
  readonly devices: readonly Device[]
}

/** Everything kept as a whole: copies, the trash, parcels to carry, machines that were let in. */
export const useLibrary = defineStore('library', () => {
  const copies = shallowRef<Copies>()
  const trash = shallowRef<readonly TrashedThing[]>([])
  const trashDays = ref(60)
  const phone = shallowRef<Phone>()
  const parcel = shallowRef<{ readonly file: File, readonly files: readonly ParcelFile[] }>()
  /** The last thing done, in words. */
  const done = ref('')
  /** The work going on; nothing else is begun meanwhile. */
  const work = reactive(useLongWork())
  const busy = computed(() => work.words !== '')
  const { trouble, trying } = useTrying()

  /** Does something, says what while it lasts, and that it is done; what can be called off leaves nothing half done. */
  async function doing<T>(
    words: string, asking: (asked: LongAsk) => Promise<T>, said?: (value: T) => string, canEnd = false,
  ): Promise<T | undefined> {
    done.value = ''
    const value = await trying(() => work.run(words, asking, canEnd))
    if (work.wasEnded) {
      trouble.value = []
      done.value = 'Called off. Nothing is changed.'
      return undefined
    }
    if (value !== undefined && said) done.value = said(value)
    return value
  }

  /** Looks how something stands. What was told of the last deed stays, unless looking fails too. */
  async function looked<T>(path: string): Promise<T | undefined> {
    try {
      return await ask<T>(path)
    }
    catch (error) {
      trouble.value = refusalLines(error)
      return undefined
    }
  }

  async function loadCopies(): Promise<void> {
    copies.value = (await looked<Copies>('/api/library/copies')) ?? copies.value
  }

  async function loadTrash(): Promise<void> {
    const found = await looked<{ days: number, things: readonly TrashedThing[] }>('/api/trash')
    if (!found) return
    trash.value = found.things
    trashDays.value = found.days
  }

  async function loadPhone(): Promise<void> {
    phone.value = (await looked<Phone>('/api/library/phone')) ?? phone.value
  }

  async function load(): Promise<void> {
    await loadCopies()
    if (copies.value?.barred) return
    await loadTrash()
    await loadPhone()
  }

  async function copyNow(): Promise<void> {
    await doing(
      'Everything is being copied.', ({ headers }) => ask<Copy>('/api/library/copies', { method: 'POST', headers }),
      () => 'Everything is copied.',
    )
    await loadCopies()
  }

  async function returnTo(copy: Copy): Promise<void> {
    await doing(
      'The copy is being put in place.',
      () => ask<{ kept: string }>(`/api/library/copies/${encodeURIComponent(copy.name)}`, { method: 'POST' }),
      () => 'Everything is as it was then. What there was before lies among the copies.',
    )
    await load()
  }

  async function startFromCopy(): Promise<void> {
    await doing(
      'What can be read is being put in place.',
      () => ask<{ brought: number, lost: number, copy?: string, broken: string }>('/api/library/salvage', { method: 'POST' }),
      ({ brought, lost, copy, broken }) =>
        `${copy ? 'The last good copy is in place.' : 'There was no copy: an empty file was begun.'} ${brought} entries were read off the `
        + `damaged file${lost > 0 ? `, and ${lost === 1 ? 'one' : lost} could not be read` : ''}. It is kept as ${broken}.`,
    )
    await load()
  }

  async function bringBack({ kind, id, name }: TrashedThing): Promise<void> {
    await doing(`${name} is being brought back.`, async () => {
      await ask(`/api/trash/${kind}/${id}`, { method: 'POST' })
      return true
    }, () => `${name} is back.`)
    await loadTrash()
  }

  async function forget({ kind, id, name }: TrashedThing): Promise<void> {
    await doing(`${name} is being deleted.`, async () => {
      await ask(`/api/trash/${kind}/${id}`, { method: 'DELETE' })
      return true
    }, () => `${name} is gone for good.`)
    await loadTrash()
  }

  function sendParcel(file: File, { headers, signal }: LongAsk, take?: string): Promise<{ files: ParcelFile[], taken?: number }> {
    return ask(`/api/library/parcel${take === undefined ? '' : `?take=${take}`}`, {
      method: 'POST', body: file, headers: { ...headers, 'Content-Type': 'application/zip' }, signal,
    })
  }

  /** Looks into a parcel; nothing is brought in yet. */
  async function lookInto(file: File): Promise<void> {
    parcel.value = undefined
    const inside = await doing(`${file.name} is being looked through.`, asked => sendParcel(file, asked), undefined, true)
    if (inside) parcel.value = { file, files: inside.files }
  }

  /** Brings in what was chosen of it, by the files' numbers. */
  async function bringIn(chosen: readonly number[]): Promise<void> {
    const { file } = parcel.value!
    const sent = (asked: LongAsk) => sendParcel(file, asked, chosen.join(','))
    const taken = await doing('What you chose is being brought in.', sent, ({ taken: number = 0 }) => `${number} brought in.`, true)
    if (taken) parcel.value = undefined
  }

  async function openToPhones(): Promise<void> {
    await doing('The way in is being opened.', () => ask('/api/library/phone', { method: 'POST' }))
    await loadPhone()
  }

  async function closeToPhones(): Promise<void> {
    await doing('The way in is being closed.', async () => {
      await ask('/api/library/phone', { method: 'DELETE' })
      return true
    }, () => 'Nobody reaches the program from another machine now.')
    await loadPhone()
  }

  async function sendAway(id: string): Promise<void> {
    await doing('It is being sent away.', async () => {
      await ask(`/api/library/devices/${id}`, { method: 'DELETE' })
      return true
    })
    await loadPhone()
  }

  return {
    copies, trash, trashDays, phone, parcel, done, work, busy, trouble, load, loadPhone, copyNow, returnTo, startFromCopy,
    bringBack, forget, lookInto, bringIn, openToPhones, closeToPhones, sendAway,
  }
})
