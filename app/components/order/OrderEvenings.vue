<script setup lang="ts">
import type { Weekday } from '~~/core/household/plan/days'
import { WEEKDAYS } from '~~/core/household/plan/days'
import { hookMinutes, PAUSE_MIN } from '~~/core/household/plan/evenings'
import { MOST_MINUTES, type Order, ORDER_FIELDS, WEEK_FIELDS } from '~~/core/household/plan/order'
import { computed } from 'vue'
import { useAskedOf } from '~/composables/useAskedOf'

/** The evenings there are for an order. */
const props = defineProps<{ order: Order }>()
const emit = defineEmits<{ change: [changed: Partial<Order>] }>()

const { startsAt, fallsOut } = ORDER_FIELDS
const asking = useAskedOf(() => props.order, order => emit('change', order))

const SAID = { mon: 'Mon', tue: 'Tue', wed: 'Wed', thu: 'Thu', fri: 'Fri', sat: 'Sat', sun: 'Sun' } as const
const hours = computed(() => {
  const minutes = WEEKDAYS.map(day => props.order.week[day])
  const sum = (of: readonly number[]) => (of.reduce((all, one) => all + one, 0) / 60).toFixed(1)
  const atHook = sum(minutes.map(hookMinutes))
  return `${sum(minutes)} h a week, ${atHook} of them at the hook: ${PAUSE_MIN} minutes of every hour are for the hands.`
})

function set(day: Weekday, minutes: number): void {
  emit('change', { week: { ...props.order.week, [day]: minutes } })
}
</script>

<template>
  <fieldset>
    <legend>Minutes there are, evening by evening</legend>
    <div class="week">
      <CountField
        v-for="day in WEEKDAYS"
        :key="day"
        :label="SAID[day]"
        :value="order.week[day]"
        :bounds="WEEK_FIELDS[day].bounds"
        counts="minutes"
        @change="set(day, $event)"
      />
    </div>
    <p class="soft">
      {{ hours }} A single evening is changed in the calendar.
    </p>
    <div class="further">
      <AskedFields
        :fields="{ startsAt, fallsOut }"
        :asking="asking"
      />
    </div>
    <p
      v-if="WEEKDAYS.every(day => order.week[day] === 0) && order.otherEvenings.every(({ minutes }) => minutes === 0)"
      role="alert"
    >
      There is no evening for it: say of at least one day how many of its {{ MOST_MINUTES }} minutes at most there are.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.4rem; }
.week { display: grid; grid-template-columns: repeat(auto-fit, minmax(4.9rem, 1fr)); gap: 0.4rem; }
.further { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(11.5rem, 100%), 1fr)); gap: 0.5rem; }
p { margin: 0.4rem 0 0.8rem; font-size: 0.88rem; }
</style>
