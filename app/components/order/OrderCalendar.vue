<script setup lang="ts">
import type { CalendarDay, OnEvening } from '~~/core/household/plan/calendar'
import { dayWithYear, dayWords } from '~~/core/household/plan/days'
import { percent } from '~~/core/household/plan/words'
import { computed } from 'vue'

/** Weeks of evenings: how full each is, what is made on it, what is finished, and what has to be ready. A day is picked to be changed. */
const props = defineProps<{ weeks: readonly (readonly CalendarDay[])[], today: string, picked?: string | undefined, named: boolean }>()
const emit = defineEmits<{ pick: [day: string] }>()

const HEADS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const short = (day: string) => dayWords(day).replace(/^\w+ /, '').replace(/^(\d+) (\w{3})\w*$/, (_, number: string, month: string) =>
  (number === '1' || day === props.weeks[0]?.[0]?.day ? `${number} ${month}` : number))

const full = ({ planned, hook }: CalendarDay) => (hook > 0 ? Math.min(1, planned / hook) : 0)
const bagWords = ({ name, finishes, late }: OnEvening) => `${name}${finishes ? ', done' : ''}${late ? ', late' : ''}`

/** A day as it is read out. */
function spoken(day: CalendarDay): string {
  const parts = [
    dayWithYear(day.day), ...(day.past || day.minutes === 0 ? [] : [`${Math.round(day.planned)} of ${day.hook} minutes at the hook`]),
    ...day.elsewhere.map(({ name, minutes }) => `${Math.round(minutes)} minutes for ${name}`),
    ...day.bags.map(bag => `${bagWords(bag)} (${percent(bag.odds)} in time)`), ...day.finished.map(name => `finished: ${name}`),
    ...day.due.map(({ name }) => `ready for ${name}`),
  ]
  return parts.join('; ')
}

const empty = (day: CalendarDay) => day.bags.length === 0 && day.elsewhere.length === 0 && day.finished.length === 0 && day.due.length === 0
const weeks = computed(() => props.weeks.map(week => week.map(day => ({ ...day, empty: empty(day) }))))
</script>

<template>
  <table class="calendar">
    <caption class="only-heard">
      Evenings, week by week
    </caption>
    <thead>
      <tr>
        <th
          v-for="head in HEADS"
          :key="head"
          scope="col"
        >
          {{ head }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="week in weeks"
        :key="week[0]!.day"
      >
        <td
          v-for="day in week"
          :key="day.day"
          :class="{ past: day.past, today: day.day === today, picked: day.day === picked, none: day.minutes === 0, empty: day.empty }"
          :data-day="day.day"
        >
          <button
            type="button"
            :aria-label="spoken(day)"
            :aria-pressed="day.day === picked"
            :disabled="day.past"
            @click="emit('pick', day.day)"
          >
            <span class="head">
              <span class="number figures">{{ short(day.day) }}</span>
              <span class="weekday">{{ dayWords(day.day) }}</span>
              <span
                v-if="!day.past && day.minutes > 0"
                class="minutes figures"
              >{{ Math.round(day.planned) }}/{{ day.hook }}</span>
            </span>
            <span
              v-if="!day.past && day.minutes > 0"
              class="bar"
            ><span :style="{ width: `${100 * full(day)}%` }" /></span>
            <span
              v-for="one in day.elsewhere"
              :key="one.name"
              class="elsewhere"
            >{{ Math.round(one.minutes) }} min for {{ one.name }}</span>
            <span
              v-for="one in day.due"
              :key="one.id"
              class="due"
            >{{ one.name || 'Ready' }}</span>
            <span
              v-for="(name, i) in day.finished"
              :key="`f${i}`"
              class="made"
            >✓ {{ name }}</span>
            <span
              v-for="(bag, i) in day.bags"
              :key="i"
              class="bag"
              :class="{ late: bag.late }"
            >{{ bagWords(bag) }}{{ named && bag.finishes && !bag.late ? `: ${percent(bag.odds)}` : '' }}</span>
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.calendar { width: 100%; border-collapse: collapse; table-layout: fixed; }
th { font-size: 0.82rem; font-weight: 560; color: var(--soft-ink); text-align: left; padding: 0 0.4rem 0.25rem; }
td { border: 1px solid var(--line); vertical-align: top; height: 5.2rem; padding: 0; background: var(--sheet); }
td.none, td.past { background: none; }
td.today { box-shadow: inset 0 3px 0 var(--accent); }
td.picked { outline: 2px solid var(--accent); outline-offset: -2px; }
button {
  display: flex; flex-direction: column; align-items: stretch; gap: 0.16rem; width: 100%; height: 100%; min-height: 5.2rem;
  padding: 0.35rem 0.4rem;
  background: none; border: 0; font: inherit; font-size: 0.8rem; line-height: 1.25; color: inherit; text-align: left; cursor: pointer;
}
button:disabled { cursor: default; }
.head { display: flex; justify-content: space-between; gap: 0.3rem; }
.number { font-weight: 640; }
.weekday { display: none; font-weight: 640; }
.minutes, .past .number, .none .number { color: var(--soft-ink); }
.bar { height: 5px; border: 1px solid var(--strong-line); border-radius: 3px; overflow: hidden; }
.bar span { display: block; height: 100%; background: var(--accent); }
.due { font-weight: 640; color: var(--accent); border-left: 3px solid var(--accent); padding-left: 0.3rem; }
.made, .bag { overflow-wrap: anywhere; }
.made { color: var(--soft-ink); }
.late { color: var(--soft-ink); font-style: italic; }
@media (--tablet) {
  thead { display: none; }
  .calendar, tbody, tr, td { display: block; width: auto; height: auto; }
  td.empty { display: none; }
  tr { padding-bottom: 0.6rem; }
  td + td { border-top: 0; }
  td.today { box-shadow: inset 3px 0 0 var(--accent); }
  button { min-height: 2.75rem; font-size: 0.92rem; }
  .number { display: none; }
  .weekday { display: inline; }
}
</style>
