<script setup lang="ts">
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { computed, ref, useId } from 'vue'
import { KIND_GROUPS, type KindGroup } from '~~/core/kind/kind'
import { kindOf, wallKinds } from '~~/core/wall/wall'
import { layersOf } from '~/looks/tileLayers'
import { tileOf } from '~/looks/tiles'
import { useTell } from '~/composables/useTell'

/** The kinds of part that a wall can have, each drawn in the part's own yarn. */
const props = defineProps<{ value: string, colour: string, asks: string }>()
const emit = defineEmits<{ pick: [band: string] }>()
const told = useTell()
const name = useId()
/** Tiles of a group are drawn when it is opened. */
const opened = ref<readonly KindGroup[]>([])
const own = computed(() => kindOf({ band: props.value }))
const groups = computed(() =>
  KIND_GROUPS.map((group) => {
    const isOwn = own.value.group === group
    const open = isOwn || opened.value.includes(group)
    const kinds = wallKinds().filter(kind => kind.group === group)
    return {
      group, own: isOwn, open, kinds: open ? kinds.map(kind => ({ ...kind, tile: tileOf(kind.band) })) : [],
      names: kinds.map(kind => kind.name).join(', '),
    }
  }),
)

function toggle(group: KindGroup): void {
  opened.value = opened.value.includes(group) ? opened.value.filter(one => one !== group) : [...opened.value, group]
}
</script>

<template>
  <fieldset class="kinds">
    <legend>This part is</legend>
    <div
      v-for="group in groups"
      :key="group.group"
      class="group"
    >
      <button
        type="button"
        class="heading"
        :aria-expanded="group.open"
        :disabled="group.own"
        @click="toggle(group.group)"
      >
        <v-icon
          :icon="group.open ? mdiChevronDown : mdiChevronRight"
          size="18"
          aria-hidden="true"
        />
        <strong>{{ group.group }}</strong>
        <span v-if="!group.open">{{ group.names }}</span>
      </button>
      <div
        v-if="group.open"
        class="grid"
      >
        <label
          v-for="kind in group.kinds"
          :key="kind.band"
          :class="{ chosen: kind.band === value }"
          :title="told(kind.does)"
        >
          <input
            type="radio"
            :name="name"
            :checked="kind.band === value"
            @change="emit('pick', kind.band)"
          >
          <svg
            :viewBox="`${kind.tile.left} ${kind.tile.top} ${kind.tile.width} ${kind.tile.height}`"
            preserveAspectRatio="xMidYMid slice"
            aria-hidden="true"
          >
            <path
              v-for="(layer, i) in layersOf(kind.tile, colour, kind.sample.bare)"
              :key="i"
              v-bind="layer"
            />
          </svg>
          <span>{{ kind.name }}</span>
        </label>
      </div>
    </div>
    <p class="does">
      {{ told(own.does) }} <strong v-if="asks">{{ asks }}</strong>
    </p>
  </fieldset>
</template>

<style scoped>
.kinds { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); margin-bottom: 0.3rem; padding: 0; }
.grid { display: grid; grid-template-columns: repeat(auto-fill, minmax(4.3rem, 1fr)); gap: 0.35rem; }
.group { border-top: 1px solid var(--line); }
.heading { display: flex; align-items: center; gap: 0.3rem; width: 100%; min-height: 2.1rem; padding: 0; border: 0; background: none; color: inherit; font: inherit; font-size: 0.88rem; text-align: left; cursor: pointer; }
.heading:disabled { cursor: default; color: inherit; }
.heading strong { flex: none; }
.heading span { flex: 1; min-width: 0; min-height: 0; display: block; padding: 0; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; color: var(--soft-ink); }
.grid { margin-bottom: 0.5rem; }
label { position: relative; display: flex; flex-direction: column; border: 1px solid var(--line); border-radius: 4px; overflow: hidden; cursor: pointer; background: var(--sheet); }
label:hover { border-color: var(--strong-line); }
label.chosen { border-color: var(--accent); box-shadow: inset 0 -3px 0 var(--accent); background: var(--wash); }
label:has(:focus-visible) { outline: 2px solid var(--accent); outline-offset: 2px; }
input { position: absolute; inset: 0; margin: 0; opacity: 0; cursor: pointer; }
svg { width: 100%; height: 2.1rem; display: block; }
span { font-size: 0.78rem; line-height: 1.15; padding: 0.2rem 0.3rem 0.3rem; min-height: 2.3em; display: flex; align-items: center; }
.chosen span { font-weight: 640; }
.does { margin: 0.35rem 0 0; font-size: 0.86rem; color: var(--soft-ink); line-height: 1.35; }
strong { font-weight: 620; color: var(--ink); }
</style>
