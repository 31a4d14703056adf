import { onBeforeUnmount, ref, shallowRef } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import type { Gauge } from '~~/core/things/gauge/gauge'
import type { FitResult } from '~~/core/bag/fit/fit'
import type { FitWish } from '~~/core/bag/fit/wish'
import type { FitSearch } from '~/workers/fit.worker'

/** A search for counts that fit, run in a worker: its progress, what it found, and a way to call it off. */
export function useFit() {
  const result = shallowRef<FitResult>()
  const searching = ref(false)
  const progress = ref(0)
  /** The search broke off: a mistake of the program's, or it needed more than there is. */
  const failed = ref(false)
  let worker: Worker | undefined

  function stop(): void {
    worker?.terminate()
    worker = undefined
    searching.value = false
  }

  async function search(design: Design, gauge: Gauge, wish: FitWish): Promise<void> {
    const { proxy, wrap } = await import('comlink')
    stop()
    result.value = undefined
    failed.value = false
    searching.value = true
    progress.value = 0
    const own = (worker = new Worker(new URL('../workers/fit.worker.ts', import.meta.url), { type: 'module' }))
    // What comes from the document is frozen and reactive-free; a plain copy crosses to the worker.
    const plain = JSON.parse(JSON.stringify({ design, gauge, wish })) as { design: Design, gauge: Gauge, wish: FitWish }
    const broken = new Promise<never>((_, reject) => {
      own.onerror = () => reject(new Error('the search broke off'))
      own.onmessageerror = () => reject(new Error('the search broke off'))
    })
    try {
      const searched = wrap<FitSearch>(own).run(
        plain.design,
        plain.gauge,
        plain.wish,
        proxy((share: number) => void (progress.value = share)),
      )
      const found = await Promise.race([searched, broken])
      if (worker === own) result.value = found
    }
    catch {
      if (worker === own) failed.value = true
    }
    if (worker === own) stop()
  }

  onBeforeUnmount(stop)
  return { result, searching, progress, failed, search, stop }
}
