import { computed } from 'vue'
import type { Setting } from '~~/core/part/part'
import { useBench } from '~/stores/bench'

/** What the base on the bench is worked in: the bag's gauge and way of going round, with nothing below it. */
export function useBaseSetting() {
  const bench = useBench()
  return computed<Setting>(() => ({ gauge: bench.draft!.gauge, rounds: bench.design!.rounds, index: 0, turns: 0 }))
}
