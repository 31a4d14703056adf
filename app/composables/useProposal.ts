import { onBeforeUnmount, ref } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import type { Proposal } from '~~/core/bag/whole/proposal'
import type { FitSearch } from '~/workers/fit.worker'

/** Looks for a bag that holds what it must, in a worker: it tries many. */
export function useProposal() {
  const looking = ref(false)
  let worker: Worker | undefined

  /** The proposal; nothing if the search broke off. */
  async function propose(design: Design): Promise<Proposal | undefined> {
    const { wrap } = await import('comlink')
    worker?.terminate()
    const own = (worker = new Worker(new URL('../workers/fit.worker.ts', import.meta.url), { type: 'module' }))
    looking.value = true
    const broken = new Promise<undefined>((resolve) => {
      own.onerror = own.onmessageerror = () => resolve(undefined)
    })
    try {
      // What comes from the document may be reactive: a plain copy crosses to the worker.
      return await Promise.race([wrap<FitSearch>(own).propose(JSON.parse(JSON.stringify(design)) as Design), broken])
    }
    catch {
      return undefined
    }
    finally {
      own.terminate()
      looking.value = false
    }
  }

  onBeforeUnmount(() => worker?.terminate())
  return { looking, propose }
}
