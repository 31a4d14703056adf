import { expose } from 'comlink'
import type { Design } from '~~/core/bag/design/design'
import { knowEveryKind } from '~~/core/bag/design/everyKind'
import type { Gauge } from '~~/core/things/gauge/gauge'
import { type FitResult, searching } from '~~/core/bag/fit/fit'
import type { FitWish } from '~~/core/bag/fit/wish'
import { type Proposal, proposal } from '~~/core/bag/whole/proposal'

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
