<script setup lang="ts">
import { computed } from 'vue'
import { minutesWords } from '~~/core/making/log/time'
import type { OrderPlan } from '~~/core/household/plan/orderPlan'
import type { LineState } from '~~/core/household/plan/breakdown'
import { jobName, percent } from '~~/core/household/plan/words'
import { SURE_ENOUGH } from '~~/core/household/shelf/enough'

/** Line by line every bag of an order: finished, on the hook, ready in time as it goes, or too late. */
const props = defineProps<{ plan: OrderPlan, whyOf: (line: LineState['line']) => string | undefined }>()

interface Mark {
  readonly key: string
  readonly share: number
  readonly stands: 'finished' | 'sure' | 'open' | 'late'
  readonly says: string
}

const late = computed(() => new Set(props.plan.behind.map(({ key }) => key)))

function marksOf({ line, finished }: LineState, at: number): Mark[] {
  const done = finished.map((make, i): Mark => ({
    key: make.id, share: 1, stands: 'finished', says: `${jobName(props.plan, { line: at, number: i + 1 })}: finished`,
  }))
  const jobs = props.plan.jobs.filter(job => job.line === at).map((job): Mark => {
    const odds = props.plan.sure.byJob.get(job.key) ?? 0
    const stands = late.value.has(job.key) ? 'late' : odds >= SURE_ENOUGH ? 'sure' : 'open'
    const hook = job.make ? `, on the hook, ${Math.round(100 * (1 - job.share))} % made` : ''
    return {
      key: job.key, share: 1 - job.share, stands,
      says: `${jobName(props.plan, job)}${hook}: ${late.value.has(job.key) ? 'too late as it goes, ' : ''}`
        + `${percent(odds)} that it is ready in time`,
    }
  })
  return line.count > 0 ? [...done, ...jobs] : []
}

const lines = computed(() => props.plan.lines.map((state, at) => ({
  name: state.line.name, count: state.line.count, marks: marksOf(state, at),
  time: state.work
    ? `about ${minutesWords(state.work.minutes)} each${state.work.known > 0 ? `, by ${state.work.known} of your bags` : ', by the craft'}`
    : (props.whyOf(state.line) ?? ''),
})))
const legend = [
  { stands: 'finished', share: 1, says: 'finished' }, { stands: 'sure', share: 0.5, says: 'on the hook' },
  { stands: 'sure', share: 0, says: 'ready in time' }, { stands: 'open', share: 0, says: 'in time as it goes, not surely' },
  { stands: 'late', share: 0, says: 'too late' },
] as const
</script>

<template>
  <div class="tally">
    <div
      v-for="(line, i) in lines"
      :key="i"
      class="line"
    >
      <p><strong>{{ line.count }} {{ line.name }}</strong> <span class="soft">{{ line.time }}</span></p>
      <ul :aria-label="line.name">
        <li
          v-for="mark in line.marks"
          :key="mark.key"
          :title="mark.says"
        >
          <BagMark
            :share="mark.share"
            :stands="mark.stands"
          />
          <span class="only-heard">{{ mark.says }}</span>
        </li>
      </ul>
    </div>
    <p
      class="legend soft"
      aria-hidden="true"
    >
      <span
        v-for="one in legend"
        :key="one.says"
      ><BagMark
        :share="one.share"
        :stands="one.stands"
      /> {{ one.says }}</span>
    </p>
  </div>
</template>

<style scoped>
.tally { display: flex; flex-direction: column; gap: 0.9rem; }
p { margin: 0 0 0.2rem; }
ul { list-style: none; margin: 0; padding: 0; display: flex; flex-wrap: wrap; gap: 0.28rem; }
li { line-height: 0; }
.legend { display: flex; flex-wrap: wrap; gap: 0.3rem 1.1rem; font-size: 0.82rem; }
.legend span { display: inline-flex; align-items: center; gap: 0.3rem; }
.legend :deep(svg) { width: 15px; height: 18px; }
</style>
