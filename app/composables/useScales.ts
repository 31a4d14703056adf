import { tryOnScopeDispose } from '@vueuse/core'
import { readonly, ref } from 'vue'
import { type Reading, type Scales, StandIn } from '~~/core/household/shelf/standInScales'

/** How often the stand-in tells a reading. */
const MOMENT_MS = 100

/** The stand-in as scales: real ones take its place by doing the same. */
function standIn(): Scales & { readonly put: (grams: number) => void } {
  const scales = new StandIn(1)
  return {
    name: 'Stand-in scales', put: grams => scales.put(grams), tare: () => scales.tare(),
    watch(told) {
      const timer = setInterval(() => told(scales.moment()), MOMENT_MS)
      return () => clearInterval(timer)
    },
  }
}

/** The kitchen scales, read as long as somebody looks. */
export function useScales() {
  const scales = standIn()
  const reading = ref<Reading>({ grams: 0, settled: true })
  let stop: (() => void) | undefined

  function watchThem(): void {
    stop ??= scales.watch(told => (reading.value = told))
  }
  function leave(): void {
    stop?.()
    stop = undefined
  }
  tryOnScopeDispose(leave)
  return { name: scales.name, reading: readonly(reading), watchThem, leave, put: scales.put, tare: scales.tare }
}
