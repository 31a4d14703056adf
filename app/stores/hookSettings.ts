import { defineStore } from 'pinia'
import { reactive, toRefs, watch } from 'vue'
import { BEAT_SIZES, type SizeChoice } from '~~/core/readers/beats/size'
import { remember } from '~/keeping/remember'

const KEY = 'fair-hollow.hook'

interface HookWays {
  /** How much one tap does. */
  size: SizeChoice
  /** Which thumb the controls lie under. */
  thumb: 'right' | 'left'
  voice: boolean
  tone: boolean
  buzz: boolean
  /** Whether it asks for counts and measures by itself. */
  asks: boolean
}

const USUAL: HookWays = { size: 'own', thumb: 'right', voice: false, tone: false, buzz: true, asks: true }

const FLAGS = ['voice', 'tone', 'buzz', 'asks'] as const

function remembered(): HookWays {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<HookWays>
    const size = kept.size === 'own' || BEAT_SIZES.includes(kept.size as never) ? kept.size! : USUAL.size
    const flags = FLAGS.map(flag => [flag, typeof kept[flag] === 'boolean' ? kept[flag] : USUAL[flag]])
    return { ...USUAL, ...(Object.fromEntries(flags) as Partial<HookWays>), size, thumb: kept.thumb === 'left' ? 'left' : 'right' }
  }
  catch {
    return { ...USUAL }
  }
}

/** How a maker likes to be followed at the hook, whichever bag it is; kept by the browser. */
export const useHookSettings = defineStore('hookWays', () => {
  const settings = reactive(remembered())
  watch(settings, () => remember(KEY, settings))
  return { ...toRefs(settings) }
})
