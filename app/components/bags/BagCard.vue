<script setup lang="ts">
import { mdiContentCopy, mdiDeleteOutline } from '@mdi/js'
import { computed } from 'vue'
import type { Design } from '~~/core/design/design'
import { standing } from '~~/core/part/floor'
import { draft } from '~~/core/draft/draft'
import { formatCm } from '~~/core/measure/format'
import { floorShort } from '~~/core/words/floorWords'
import type { Kept } from '~/stores/records'

/** A bag on its shelf: drawn to the scale of all the others, so that big ones look big. */
const props = defineProps<{ bag: Kept<Design> }>()
const emit = defineEmits<{ copy: [], remove: [] }>()

const drafted = computed(() => draft(props.bag.document))
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

/** A shelf is this wide and tall; a bag that is larger is drawn smaller to stay on it. */
const SHELF_CM = 30
const TALL_CM = 24
const scale = computed(() =>
  Math.min(
    1,
    TALL_CM / Math.max(1, drafted.value.sizes.withHandles?.emptyCm ?? drafted.value.sizes.height.cm),
    SHELF_CM / Math.max(1, standing(drafted.value.sizes.floor, drafted.value.sizes.mouth.cm).lengthCm),
  ),
)
const facts = computed(() => {
  const { sizes, design } = drafted.value
  return `${floorShort(sizes.floor, design.units)}, ${formatCm(sizes.height.cm, design.units)} `
    + `tall${sizes.withHandles ? ` (${formatCm(sizes.withHandles.emptyCm, design.units)} with handles)` : ''}, ${sizes.rounds} rounds`
})
</script>

<template>
  <li class="card">
    <NuxtLink
      :to="`/bags/${bag.id}`"
      class="open"
    >
      <svg
        :viewBox="`${-SHELF_CM / 2} ${-TALL_CM - 1} ${SHELF_CM} ${TALL_CM + 1.4}`"
        aria-hidden="true"
      >
        <g :transform="`scale(${scale})`">
          <BagElevation
            :draft="drafted"
            :scale="9"
            selected=""
          />
        </g>
        <line
          :x1="-SHELF_CM / 2"
          :x2="SHELF_CM / 2"
          y1="0.12"
          y2="0.12"
        />
      </svg>
      <h2>{{ bag.document.name }}</h2>
    </NuxtLink>
    <p>
      {{ facts }}
    </p>
    <div class="foot">
      <span class="soft">{{ format(new Date(bag.updatedAt)) }}</span>
      <span>
        <v-btn
          :icon="mdiContentCopy"
          size="small"
          :aria-label="`Copy ${bag.document.name}`"
          title="Copy"
          @click="emit('copy')"
        />
        <v-btn
          :icon="mdiDeleteOutline"
          size="small"
          :aria-label="`Delete ${bag.document.name}`"
          title="Delete"
          @click="emit('remove')"
        />
      </span>
    </div>
  </li>
</template>

<style scoped>
.open { display: block; color: inherit; text-decoration: none; }
svg { width: 100%; display: block; }
line { stroke: var(--ink); stroke-width: 0.24; }
h2 { margin: 0.7rem 0 0; }
.open:hover h2 { color: var(--accent); text-decoration: underline; text-underline-offset: 3px; }
p { margin: 0.15rem 0 0; font-size: 0.88rem; }
.foot { display: flex; justify-content: space-between; align-items: center; font-size: 0.88rem; }
</style>
