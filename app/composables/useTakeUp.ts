import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'

/** Begins the bag in hand: its design as it stands is what is followed at the hook. */
export function useTakeUp(): () => Promise<void> {
  const bag = useDocument()
  const saving = useSaving()
  const router = useRouter()
  return async () => {
    const { useMake } = await import('~/stores/make')
    await router.push(`/makes/${await useMake().takeUp(bag.design, saving.id)}`)
  }
}
