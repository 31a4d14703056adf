import { defineStore } from 'pinia'
import { computed, reactive, ref, shallowRef } from 'vue'
import type { Calibration } from '~~/core/making/log/calibration'
import type { BagFacts } from '~~/core/making/log/bagFacts'
import { type Skill, NO_SKILL_YET } from '~~/core/making/log/skill'
import type { GaugeOffer } from '~~/core/making/log/gaugeOffers'
import type { LogbookEntry } from '~~/core/making/log/logbookEntry'
import type { OverTime } from '~~/core/making/log/overTime'
import { CALLED_OFF, useLongWork } from './longWork'
import { ask, shared, useTrying } from './records'

/** A bag of the logbook as it is listed. */
export interface LogBag {
  readonly id: string
  readonly name: string
  readonly createdAt: string
  readonly updatedAt: string
  readonly photo: boolean
  readonly listed: LogbookEntry | null
}

/** A bag's own page: everything that it tells. */
export interface LogPage {
  readonly id: string
  readonly name: string
  readonly photo: boolean
  readonly facts: BagFacts | null
}

/** The skill that all bags have taught. */
export interface Taught {
  readonly hands: Skill
  readonly offers: readonly GaugeOffer[]
  readonly calibration: readonly Calibration[]
  readonly overTime: OverTime
}

/** The maker's own book: the bags in hand and finished, and what they have taught. */
export const useLogbook = defineStore('logbook', () => {
  const bags = shallowRef<readonly LogBag[]>([])
  const page = shallowRef<LogPage>()
  const taught = shallowRef<Taught>()
  /** The maker's skill: the craft's figures until bags have taught. */
  const hands = computed(() => taught.value?.hands ?? NO_SKILL_YET)
  const said = ref('')
  /** The photo of a bag that was thrown away or replaced last. */
  const photoBefore = shallowRef<{ readonly id: string, readonly photo: Blob }>()
  const { trouble, trying } = useTrying()
  /** A file that is being brought in. */
  const work = reactive(useLongWork())

  async function load(): Promise<void> {
    const found = await trying(() => ask<LogBag[]>('/api/logbook'))
    if (found) bags.value = found
  }

  /** Loads the skill; where the server is away, what was known before stays. */
  const loadTaught = shared(async (): Promise<void> => {
    try {
      taught.value = await ask<Taught>('/api/logbook/hands')
    }
    catch {
      // Nothing hangs on it: times and offers are left out.
    }
  })

  async function open(id: string): Promise<void> {
    if (page.value?.id !== id) page.value = undefined
    if (photoBefore.value?.id !== id) photoBefore.value = undefined
    const found = await trying(() => ask<LogPage>(`/api/logbook/${id}`))
    if (found) page.value = found
  }

  async function bringIn(file: File): Promise<void> {
    said.value = ''
    const brought = await trying(() => work.run(`${file.name} is being brought in.`, async asked =>
      ask<{ taken: number, there: number }>('/api/logbook', { method: 'POST', body: await file.text(), ...asked })))
    if (work.wasEnded) {
      trouble.value = []
      said.value = CALLED_OFF
    }
    if (!brought) return
    const { taken, there } = brought
    said.value = `${taken} ${taken === 1 ? 'bag' : 'bags'} brought in${there > 0 ? `; ${there} here already, left as they are` : ''}.`
    await Promise.all([load(), loadTaught()])
  }

  /** Puts a photo in the place of a bag's, or none; the one before stays at hand, to be brought back. */
  async function setPhoto(id: string, photo: Blob | undefined): Promise<void> {
    const path = `/api/makes/${id}/photo`
    const done = await trying(async () => {
      const before = page.value?.id === id && page.value.photo ? await ask<Blob>(path, { responseType: 'blob' }) : undefined
      await (photo ? ask(path, { method: 'PUT', body: photo }) : ask(path, { method: 'DELETE' }))
      return { before }
    })
    if (!done) return
    photoBefore.value = done.before && { id, photo: done.before }
    if (page.value?.id === id) page.value = { ...page.value, photo: photo !== undefined }
  }

  /** Brings back the photo that was thrown away or replaced last; the one in its place then is the one that can be brought back. */
  async function bringPhotoBack(): Promise<void> {
    if (photoBefore.value) await setPhoto(photoBefore.value.id, photoBefore.value.photo)
  }

  return { bags, page, taught, hands, said, trouble, work, load, loadTaught, open, bringIn, photoBefore, setPhoto, bringPhotoBack }
})
