import { nextTick } from 'vue'
import type { AskedAt } from '~~/core/parts/part/askedAt'
import { useFolds } from '~/stores/folds'
import { useView } from '~/stores/view'

/** How often, and how long apart, one looks for a field that is on its way. */
const LOOKS = 40
const BETWEEN_MS = 25

const TYPED_FIRST = ['input:not([type=radio]), textarea, select', 'input:checked', 'input, button']

/** The field that asks for a place in the design, or for what that is part of. */
function fieldOf(path: string): HTMLElement | undefined {
  const keys = path.split('.')
  for (let long = keys.length; long > 0; long--) {
    const asks = document.querySelector(`[data-asks="${CSS.escape(keys.slice(0, long).join('.'))}"]`)
    // What is typed before what is chosen: how something is decided is a choice, what it comes to a figure.
    const field = TYPED_FIRST.map(one => asks?.querySelector<HTMLElement>(one)).find(one => one)
    if (field) return field
  }
  return undefined
}

/** The field once it is there: with another part in hand it is drawn anew, or fetched first. */
async function comingField(path: string): Promise<HTMLElement | undefined> {
  for (let looks = 0; looks < LOOKS; looks++) {
    await new Promise(resolve => setTimeout(resolve, BETWEEN_MS))
    const field = fieldOf(path)
    if (field) return field
  }
  return undefined
}

/** Goes to where something of the bag is asked: its part in hand, the questions unfolded, the field in sight with the focus. */
export function useGoTo(): (at: AskedAt) => Promise<void> {
  const view = useView()
  const folds = useFolds()
  return async ({ part, path }) => {
    view.selected = part
    folds.set('want', true)
    await nextTick()
    // What is asked in a way of its own is at least on the panel that is gone to.
    const to = (path === undefined ? undefined : await comingField(path)) ?? document.querySelector<HTMLElement>('.panel h2')
    to?.focus()
    to?.scrollIntoView({ block: 'center' })
  }
}
