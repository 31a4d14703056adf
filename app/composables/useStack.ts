import { computed } from 'vue'
import { MOST_BANDS } from '~~/core/bag/design/documentFields'
import { bandAbove, doubled, HANDLES_BAND, handlesOnTop, moved, type StackChange, thrownOut } from '~~/core/bag/design/stacking'
import type { Below, turnedInto } from '~~/core/bag/design/changeKind'
import { fetchPart, NOT_FETCHED } from '~/kinds/fetchKinds'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** Edits of the stack of a wall's parts; after each its part is in hand. */
export function useStack() {
  const bag = useDocument()
  const view = useView()
  const full = computed(() => bag.design.wall.length >= MOST_BANDS)

  function take(stacked: StackChange | undefined): void {
    if (!stacked) return
    bag.applyFix(stacked)
    view.selected = stacked.inHand ?? 'bag'
  }

  /** Moves a part; what is in hand stays in hand. */
  function rearrange(id: string, by: number): void {
    const stacked = moved(bag.design, id, by)
    if (stacked) bag.applyFix(stacked)
  }

  /** Does what needs something fetched first; that it does not come is told like an edit that is not taken. */
  async function once(coming: Promise<unknown> | undefined, then: () => void): Promise<void> {
    try {
      await coming
    }
    catch {
      bag.refused = NOT_FETCHED
      return
    }
    then()
  }

  const addHandles = () => once(fetchPart(HANDLES_BAND), () =>
    take(handlesOnTop(bag.design, bag.draft.parts.at(-1)!.size.circumference.cm)))

  /** The edge right below a part. */
  function below(id: string): Below {
    const { parts, gauge } = bag.draft
    const at = parts.findIndex(part => part.id === id)
    const { size, edge } = (parts[at - 1] ?? parts.at(-1))!
    return { aroundCm: size.circumference.cm, count: edge.count, gauge }
  }

  /** Makes a part another kind of part; every kind is here by then, since they lay there to choose from. */
  function turnInto(id: string, band: string): Promise<void> {
    let turned: typeof turnedInto
    const coming = import('~~/core/bag/design/changeKind').then(found => (turned = found.turnedInto))
    return once(coming, () => take(turned(bag.design, id, band, below(id))))
  }

  return {
    full,
    addAbove: (id?: string) => take(bandAbove(bag.design, id)),
    addHandles,
    duplicate: (id: string) => take(doubled(bag.design, id)),
    remove: (id: string) => take(thrownOut(bag.design, id)),
    move: rearrange,
    turnInto,
  }
}
