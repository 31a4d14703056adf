import { computed, type ComputedRef } from 'vue'
import type { Units } from '~~/core/things/measure/format'
import { useTape } from '~/stores/tape'
import { useWays } from '~/stores/ways'

/** What is measured in here: as the open bag says, or else as the maker does. */
export function useUnits(): ComputedRef<Units> {
  const ways = useWays()
  const tape = useTape()
  return computed(() => tape.units ?? ways.units ?? 'cm')
}
