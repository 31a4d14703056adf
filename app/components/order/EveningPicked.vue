<script setup lang="ts">
import { computed } from 'vue'
import { type Day, dayWithYear, weekdayOf } from '~~/core/household/plan/days'
import { eveningMinutes } from '~~/core/household/plan/evenings'
import { MOST_MINUTES, type Order } from '~~/core/household/plan/order'

/** One evening of an order, to be made longer, shorter, or none. */
const props = defineProps<{ order: Order, day: Day }>()
const emit = defineEmits<{ change: [otherEvenings: Order['otherEvenings']], close: [] }>()

const minutes = computed(() => eveningMinutes(props.order, props.day))
const others = computed(() => props.order.otherEvenings.filter(({ day }) => day !== props.day))
const usual = computed(() => props.order.week[weekdayOf(props.day)])
const isOther = computed(() => others.value.length < props.order.otherEvenings.length)

function set(to: number): void {
  emit('change', to === usual.value ? others.value : [...others.value, { day: props.day, minutes: to }])
}
</script>

<template>
  <div
    class="evening"
    role="group"
    :aria-label="dayWithYear(day)"
  >
    <strong>{{ dayWithYear(day) }}</strong>
    <CountField
      :key="day"
      label="Minutes that evening"
      :value="minutes"
      :bounds="{ least: 0, most: MOST_MINUTES }"
      @change="set"
    />
    <v-btn
      v-if="minutes > 0"
      size="small"
      variant="outlined"
      @click="set(0)"
    >
      None
    </v-btn>
    <v-btn
      v-if="isOther"
      size="small"
      variant="outlined"
      @click="set(usual)"
    >
      As always: {{ usual }}
    </v-btn>
    <v-btn
      size="small"
      @click="emit('close')"
    >
      Close
    </v-btn>
  </div>
</template>

<style scoped>
.evening { display: flex; flex-wrap: wrap; align-items: center; gap: 0.7rem; margin-top: 0.8rem; }
.evening > :deep(.v-input) { flex: 0 1 13rem; }
</style>
