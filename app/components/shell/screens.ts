import type { Screen } from '~~/core/readers/words/search'

/** Every screen that stands on its own, with what it is for. */
export const SCREENS: readonly Screen[] = [
  { name: 'All bags', does: 'your bags, to open, copy, search', to: '/' },
  { name: 'Start a bag', does: 'a new one, by what it is for', to: '/start' },
  { name: 'Logbook', does: 'what was made, how long it took, what it taught', to: '/logbook' },
  { name: 'Swatches', does: 'gauges that you counted', to: '/swatches' },
  { name: 'Yarn', does: 'what lies on your shelf', to: '/yarns' },
  { name: 'Orders', does: 'several bags by a day', to: '/orders' },
  { name: 'Kept safe', does: 'copies, what was deleted, your phone', to: '/safe' },
  { name: 'Where the hook goes', does: 'how each stitch is entered, drawn', to: '/hook' },
]
