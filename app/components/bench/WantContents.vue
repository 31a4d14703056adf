<script setup lang="ts">
import { computed } from 'vue'
import type { Contents } from '~~/core/contents/contents'
import { propose } from '~~/core/contents/contents'
import { BALLS, CONTENT_CM, WEIGHT_KG } from '~~/core/design/bounds'
import { useBench } from '~/stores/bench'

/** What the bag must hold: named, kept, drawn inside the bag; on request it proposes base and height. */
const bench = useBench()
const contents = computed(() => bench.design!.contents)
const kind = computed(() => contents.value?.kind ?? 'nothing')

const STARTS: Record<Contents['kind'], Contents> = {
  box: { kind: 'box', lengthCm: 24, widthCm: 9, heightCm: 30 },
  bottle: { kind: 'bottle', acrossCm: 8, heightCm: 30 },
  balls: { kind: 'balls', count: 6, acrossCm: 7 },
  cloth: { kind: 'cloth', lengthCm: 30, widthCm: 20, heightCm: 10 },
}
const LABELS: Record<string, string> = { lengthCm: 'Length', widthCm: 'Width', heightCm: 'Height', acrossCm: 'Across' }
const lengths = computed(() => Object.entries(contents.value ?? {}).filter(([name]) => name in LABELS) as [string, number][])

function choose(choice: string): void {
  bench.edit('What it must hold', (design) => {
    if (choice === 'nothing') delete design.contents
    else design.contents = { ...STARTS[choice as Contents['kind']], ...(contents.value?.weightKg ? { weightKg: contents.value.weightKg } : {}) }
  })
}

function put(name: string, value: number | undefined): void {
  bench.edit('What it must hold', (design) => {
    if (value === undefined) Reflect.deleteProperty(design.contents!, name)
    else Object.assign(design.contents!, { [name]: value })
  }, `contents.${name}`)
}

function proposeBag(): void {
  const { base } = bench.design!
  const { base: spec, heightCm } = propose(contents.value!, base.stitch, base.colour)
  bench.edit('A bag for what it must hold', (design) => {
    design.base = JSON.parse(JSON.stringify(spec)) as typeof design.base
    delete design.measuredBase
    // The topmost band with a height of its own takes up what the others leave: a rim, slots and casings stay as they are.
    const index = design.wall.findLastIndex(part => 'size' in part && part.band !== 'taper')
    const others = bench.draft!.parts.slice(1).reduce((sum, part) => part.id === `wall.${index}` ? sum : sum + part.size.height.cm, 0)
    const own = Math.max(1, Math.round((heightCm - others) * 10) / 10)
    const band = design.wall[index]
    if (band && 'size' in band && band.band !== 'taper') band.size = { want: { heightCm: own } }
    else design.wall.unshift({ band: 'solid', stitch: base.stitch, size: { want: { heightCm: own } }, colour: base.colour })
  })
}
</script>

<template>
  <div class="contents">
    <ChoiceField
      label="It must hold"
      :value="kind"
      :choices="[
        { value: 'nothing', name: 'nothing in particular' }, { value: 'box', name: 'a box' }, { value: 'bottle', name: 'a bottle or jar' },
        { value: 'balls', name: 'apples, balls' }, { value: 'cloth', name: 'folded cloth' },
      ]"
      @change="choose"
    />
    <div
      v-if="contents"
      class="row"
    >
      <CountField
        v-if="contents.kind === 'balls'"
        label="How many"
        :value="contents.count"
        :bounds="BALLS"
        @change="put('count', $event)"
      />
      <LengthField
        v-for="[name, cm] in lengths"
        :key="`${kind}-${name}`"
        :label="LABELS[name]!"
        :cm="cm"
        :units="bench.design!.units"
        :bounds="CONTENT_CM"
        @change="put(name, $event)"
      />
      <CountField
        label="Weighs"
        suffix="kg"
        parts
        may-be-empty
        :value="contents.weightKg"
        :bounds="WEIGHT_KG"
        @change="put('weightKg', $event)"
        @clear="put('weightKg', undefined)"
      />
    </div>
    <v-btn
      v-if="contents"
      variant="tonal"
      color="primary"
      class="propose"
      @click="proposeBag"
    >
      Propose a bag for it
    </v-btn>
  </div>
</template>

<style scoped>
.contents { display: flex; flex-direction: column; gap: 0.7rem; }
.row { display: grid; grid-template-columns: repeat(auto-fit, minmax(6.6rem, 1fr)); gap: 0.5rem; align-items: start; }
.propose { align-self: flex-start; }
</style>
