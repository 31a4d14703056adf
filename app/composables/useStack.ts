import { computed } from 'vue'
import { MOST_BANDS } from '~~/core/design/fields'
import { bandAbove, doubled, handlesOnTop, moved, type Stacked, thrownOut, turnedInto } from '~~/core/design/stacking'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'

/** What can be done with the stack of a wall's parts; each is one edit, after which its part is in hand. */
export function useStack() {
  const bag = useDocument()
  const view = useView()
  const full = computed(() => bag.design.wall.length >= MOST_BANDS)

  function take(stacked: Stacked | undefined): void {
    if (!stacked) return
    bag.applyFix(stacked)
    view.selected = stacked.inHand ?? 'bag'
  }

  /** How far round the part right below one goes. */
  function belowCm(id: string): number {
    const { parts } = bag.draft
    const at = parts.findIndex(part => part.id === id)
    return (parts[at - 1] ?? parts.at(-1))!.size.circumference.cm
  }

  return {
    full,
    addAbove: (id?: string) => take(bandAbove(bag.design, id)),
    addHandles: () => take(handlesOnTop(bag.design, bag.draft.parts.at(-1)!.size.circumference.cm)),
    duplicate: (id: string) => take(doubled(bag.design, id)),
    remove: (id: string) => take(thrownOut(bag.design, id)),
    move: (id: string, by: number) => take(moved(bag.design, id, by)),
    turnInto: (id: string, band: string) => take(turnedInto(bag.design, id, band, belowCm(id))),
  }
}
