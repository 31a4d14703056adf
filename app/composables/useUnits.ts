import { computed, type ComputedRef } from 'vue'
import type { Units } from '~~/core/things/measure/format'
import { useTape } from '~/stores/tape'
import { useSettings } from '~/stores/settings'

/** Units here: as the open bag says, or else as the maker does. */
export function useUnits(): ComputedRef<Units> {
  const settings = useSettings()
  const tape = useTape()
  return computed(() => tape.units ?? settings.units ?? 'cm')
}
