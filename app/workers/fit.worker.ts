import { expose } from 'comlink'
import type { Design } from '~~/core/design/design'
import { knowEveryKind } from '~~/core/design/everyKind'
import type { Gauge } from '~~/core/gauge/gauge'
import { type FitResult, searching } from '~~/core/fit/fit'
import type { FitWish } from '~~/core/fit/wish'
import { type Proposal, proposal } from '~~/core/whole/proposal'

knowEveryKind()

/** Searches counts away from the page; ended from outside by ending the worker. */
const search = {
  run(design: Design, gauge: Gauge, wish: FitWish, progress: (share: number) => void): FitResult {
    const steps = searching(design, gauge, wish)
    for (;;) {
      const step = steps.next()
      if (step.done) return step.value
      progress(step.value)
    }
  },
  propose: (design: Design): Proposal => proposal(design),
}

export type FitSearch = typeof search

expose(search)
