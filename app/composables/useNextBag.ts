import { ref } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import type { MakeEvent } from '~~/core/making/make/event'
import { ask, kept, refusalLines } from '~/stores/records'

/** Begins the next bag from one of the logbook. */
export function useNextBag() {
  const trouble = ref('')
  const router = useRouter()

  /** Everything that happened to a bag. */
  async function eventsOf(id: string): Promise<MakeEvent[]> {
    const events: MakeEvent[] = []
    for (let upTo = 0, more = true; more;) {
      const answer = await ask<{ events: MakeEvent[], upTo: number }>(`/api/makes/${id}`, { query: { after: upTo } })
      events.push(...answer.events)
      more = answer.upTo > upTo
      upTo = answer.upTo
    }
    return events
  }

  async function trying(work: () => Promise<void>): Promise<void> {
    trouble.value = ''
    try {
      await work()
    }
    catch (error) {
      trouble.value = refusalLines(error)[0] ?? 'That did not work.'
    }
  }

  /** The same bag once more, on the hook. */
  const again = (id: string) => trying(async () => {
    const [{ stateOf }, { useMake }] = await Promise.all([import('~~/core/making/make/fold'), import('~/stores/make')])
    const { plan, bag } = stateOf(await eventsOf(id))
    if (plan) await router.push(`/makes/${await useMake().takeUp(plan, bag)}`)
  })

  /** A new bag with the counts that were really worked, in the gauge that the work showed. */
  const cameOut = (id: string) => trying(async () => {
    const [{ stateOf }, { inHand }, { designAsMade }] = await Promise.all([
      import('~~/core/making/make/fold'), import('~~/core/making/make/plan'), import('~~/core/making/log/designAsMade'),
    ])
    const state = stateOf(await eventsOf(id))
    const hand = inHand(state)
    if (!hand) return
    const { id: bag } = await kept<Design>('/api/designs', designAsMade(hand, state))
    await router.push(`/bags/${bag}`)
  })

  return { trouble, again, cameOut }
}
