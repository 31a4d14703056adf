import { computed, onMounted } from 'vue'
import { yarnUseOf } from '~~/core/household/shelf/yarnUse'
import { sureMetres } from '~~/core/household/shelf/enough'
import { stockOf } from '~~/core/household/shelf/stock'
import { growingIn } from '~~/core/household/shelf/growing'
import { formatGrams } from '~~/core/things/measure/amounts'
import { useDocument } from '~/stores/document'
import { useLogbook } from '~/stores/logbook'
import { useYarns } from '~/stores/yarns'

/** Yarns of the bag in hand that lie on the shelf: how many metres by the plan they are sure to make, and what could take what is left. */
export function useShortYarns() {
  const bag = useDocument()
  const shelf = useYarns()
  const book = useLogbook()
  onMounted(() => {
    if (shelf.yarns.length === 0) void shelf.load()
    if (!book.taught) void book.loadTaught()
  })
  return computed(() => bag.design.yarns.flatMap(({ id, shelf: of, name }) => {
    const yarn = shelf.byId(of)
    const grams = yarn ? stockOf(yarn).grams : 0
    if (!yarn || grams <= 0) return []
    const taught = book.hands.yarn.find(one => one.name === name)?.gramsPerMetre
    return [
      {
        id, title: `${name}: ${formatGrams(grams, bag.design.units)}`, metres: sureMetres(grams, yarnUseOf(yarn, taught)),
        takers: growingIn(bag.draft, id).filter(({ by }) => by === 'rounds').map(({ part, name: title }) => ({ value: part, title })),
      },
    ]
  }))
}
