<script setup lang="ts">
import { hasFloor, isDisc } from '~~/core/parts/part/floor'
import { computed, onMounted } from 'vue'
import type { Draft } from '~~/core/bag/draft/draft'
import { formatGramsRange, formatMetres } from '~~/core/things/measure/amounts'
import { figure, formatCm, formatLength } from '~~/core/things/measure/format'
import { countByWeight, countedWords } from '~~/core/parts/part/worst'
import { floorShort, isFloorAlone } from '~~/core/readers/words/floorWords'
import { gramsTaught } from '~~/core/making/log/skill'
import { timeOfBag, timeWords } from '~~/core/making/log/time'
import { neededGrams } from '~~/core/bag/yarn/grams'
import { yarnNeeds } from '~~/core/bag/yarn/yarn'
import { useLogbook } from '~/stores/logbook'

const props = defineProps<{ draft: Draft }>()
const emit = defineEmits<{ watch: [] }>()
const watching = computed(() => countByWeight(props.draft.findings))
const units = computed(() => props.draft.design.units)
const sizes = computed(() => props.draft.sizes)
const book = useLogbook()
onMounted(() => void book.loadTaught())
const hands = computed(() => book.hands)
const time = computed(() => timeOfBag(props.draft, hands.value))
const from = computed(() => time.value.bags === 0
  ? 'By the craft\'s usual pace, a rule of thumb: no bag of yours is in the logbook yet.'
  : `By your own pace, from ${time.value.bags} ${time.value.bags === 1 ? 'bag' : 'bags'} in your logbook.`)
const yarns = computed(() => yarnNeeds(props.draft))
const floor = computed(() => {
  const { floor: own } = sizes.value
  if (!hasFloor(own)) return 'none'
  return isDisc(own) ? formatLength(own.length, units.value) : floorShort(own, units.value)
})
const taught = computed(() => gramsTaught(hands.value))
/** The weight of a yarn, as the pattern says it too, and where that is known from. */
function gramsOf(name: string, metres: number): { readonly words: string, readonly from: string } {
  const { low, high, taught: own } = neededGrams(props.draft, name, metres, taught.value)
  return {
    words: formatGramsRange(low, high, units.value),
    from: own ? 'What it weighs, by your own bags in this yarn' : 'What it usually weighs: the band of the ball is surer',
  }
}
const holds = computed(() => sizes.value.litres < 10 ? sizes.value.litres.toFixed(1) : String(Math.round(sizes.value.litres)))
</script>

<template>
  <div
    class="along"
    role="region"
    aria-label="What it comes to"
    tabindex="0"
  >
    <dl class="tally">
      <div v-if="watching.length > 0">
        <dt>To watch</dt>
        <dd>
          <button
            type="button"
            class="watching"
            :title="countedWords(watching)"
            @click="emit('watch')"
          >
            <FoundMark :findings="draft.findings" />
          </button>
        </dd>
      </div>
      <div>
        <dt>Rounds</dt>
        <dd>{{ sizes.rounds }}</dd>
      </div>
      <div>
        <dt>Stitches</dt>
        <dd>{{ sizes.stitches.toLocaleString('en') }}</dd>
      </div>
      <div>
        <dt>Floor</dt>
        <dd>{{ floor }}</dd>
      </div>
      <div v-if="!isFloorAlone(sizes)">
        <dt>Lies flat</dt>
        <dd>{{ figure(sizes.flatWidth.cm, units) }} × {{ figure(sizes.flatHeight.cm, units) }} {{ units }}</dd>
      </div>
      <div v-if="hasFloor(sizes.floor) && !isFloorAlone(sizes)">
        <dt>Stands</dt>
        <dd>{{ formatCm(sizes.height.cm, units) }}</dd>
      </div>
      <div v-if="sizes.withHandles">
        <dt>With handles</dt>
        <dd>{{ formatCm(sizes.withHandles.emptyCm, units) }}</dd>
      </div>
      <div v-if="!isFloorAlone(sizes)">
        <dt>Holds about</dt>
        <dd>{{ holds }} l</dd>
      </div>
      <div :title="from">
        <dt>Takes, by {{ time.bags === 0 ? 'the craft' : 'your pace' }}</dt>
        <dd>{{ timeWords(time).replace('about ', '') }}</dd>
      </div>
      <div
        v-for="{ yarn, metres } in yarns"
        :key="yarn.id"
        class="yarn"
      >
        <dt>{{ yarn.name }}</dt>
        <dd>
          <span
            class="dot"
            :style="{ background: yarn.colour }"
          />{{ formatMetres(Math.ceil(metres), units) }}<span
            class="soft"
            :title="gramsOf(yarn.name, metres).from"
          >{{ gramsOf(yarn.name, metres).words }}</span>
        </dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.along { overflow-x: auto; background: var(--sheet); border-top: 1px solid var(--line); scrollbar-width: thin; }
.along:focus-visible { outline-offset: -2px; }
.tally { display: flex; gap: 0; margin: 0; }
.tally > div { padding: 0.5rem 1rem; border-right: 1px solid var(--line); white-space: nowrap; }
dt { font-size: 0.78rem; color: var(--soft-ink); }
.yarn dt { max-width: 14rem; overflow: hidden; text-overflow: ellipsis; }
dd {
  margin: 0; font-family: var(--figures); font-size: 1.02rem; font-weight: 560; letter-spacing: -0.035em; word-spacing: -0.28em;
  display: flex; align-items: center; gap: 0.4rem;
}
.dot { width: 0.85rem; height: 0.85rem; border-radius: 50%; border: 1px solid var(--strong-line); }
.watching { border: 0; padding: 0; background: none; cursor: pointer; text-decoration: underline; text-underline-offset: 3px; }
.watching :deep(.found) { font-size: 1.02rem; }
</style>
