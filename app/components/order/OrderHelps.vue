<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { type OrderFix, orderFixes } from '~~/core/plan/behind'
import type { Known, OrderPlan } from '~~/core/plan/orderPlan'
import { percent } from '~~/core/plan/words'
import type { Change } from '~~/core/part/finding'

/** What would make an order's date sure, looked for when it is asked for. */
const props = defineProps<{ plan: OrderPlan, known: () => Known }>()
const emit = defineEmits<{ take: [changes: readonly Change[]] }>()

const fixes = shallowRef<readonly OrderFix[]>()
const looking = ref(false)
watch(() => props.plan, () => (fixes.value = undefined))

/** The plan is gone through some thousands of times: the page says first that it looks. */
function look(): void {
  looking.value = true
  setTimeout(() => {
    fixes.value = orderFixes(props.known(), props.plan)
    looking.value = false
  }, 30)
}
</script>

<template>
  <div aria-live="polite">
    <v-btn
      v-if="!fixes"
      variant="outlined"
      size="small"
      :loading="looking"
      @click="look"
    >
      What would make it sure?
    </v-btn>
    <p v-else-if="fixes.length === 0">
      Nothing by itself makes it sure within four months: leave out some and give it longer.
    </p>
    <ul
      v-else
      aria-label="What would make it sure"
    >
      <li
        v-for="fix in fixes"
        :key="fix.label"
      >
        <v-btn
          size="small"
          variant="outlined"
          @click="emit('take', fix.changes)"
        >
          {{ fix.label }}
        </v-btn>
        <span class="soft">then {{ percent(fix.odds) }} that all are ready</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
p { margin: 0; }
ul { list-style: none; margin: 0; padding: 0; display: flex; flex-direction: column; gap: 0.45rem; }
li { display: flex; flex-wrap: wrap; align-items: center; gap: 0.3rem 0.7rem; }
li :deep(.v-btn) { height: auto; min-height: 2rem; max-width: 100%; white-space: normal; text-align: left; }
</style>
