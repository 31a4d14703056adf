<script setup lang="ts">
import { computed } from 'vue'
import { discIncreases } from '~~/core/base/schools'
import { INCREASES, PER_END } from '~~/core/design/bounds'
import { useBench } from '~/stores/bench'

/** How many increases: a school's number, what lies flattest, or any other; for an oval, at each end. */
const bench = useBench()
const base = computed(() => bench.design!.base)
const oval = computed(() => base.value.form === 'oval')
const value = computed(() => base.value.form === 'oval' ? base.value.perEnd : 'increases' in base.value ? base.value.increases : 'by-gauge')
const flattest = computed(() => {
  const number = discIncreases({ ...base.value, ...(oval.value ? { perEnd: 'by-gauge' } : { increases: 'by-gauge' }) } as typeof base.value, bench.draft!.gauge)!
  return oval.value ? number / 2 : number
})

const SCHOOLS = {
  disc: [
    { value: '6', name: '6', does: 'The school of six, usual for {sc.name}: soft hexagon, slow to grow.' },
    { value: '8', name: '8', does: 'The school of eight: grows faster, and in {sc.name} the edge often warps a little until the wall tames it.' },
    { value: '12', name: '12', does: 'Usual for {dc.name}, whose rounds are twice as tall.' },
  ],
  oval: [
    { value: '3', name: '3', does: 'Half of the school of six.' },
    { value: '4', name: '4', does: 'Half of the school of eight: the ends may warp a little.' },
    { value: '5', name: '5', does: 'Between the schools: used in {hdc.name}.' },
    { value: '6', name: '6', does: 'Half of twelve: usual for {dc.name}.' },
  ],
}
const taught = computed(() => oval.value ? SCHOOLS.oval : SCHOOLS.disc)
const school = computed(() => value.value === 'by-gauge' ? 'by-gauge' : taught.value.some(one => one.value === String(value.value)) ? String(value.value) : 'own')
const label = computed(() => oval.value ? 'Increases at each end, a round' : 'Increases a round')

function put(number: number | 'by-gauge'): void {
  bench.edit(label.value, (design) => {
    if (design.base.form === 'oval') design.base.perEnd = number
    else if ('increases' in design.base) design.base.increases = number
  }, school.value === 'own' ? 'base.increases' : undefined)
}

function choose(choice: string): void {
  put(choice === 'by-gauge' ? choice : choice === 'own' ? 7 : Number(choice))
}
</script>

<template>
  <ChoiceField
    :label="label"
    :value="school"
    :choices="[
      { value: 'by-gauge', name: 'by gauge', does: `${flattest} lie flattest in this gauge.` },
      ...taught,
      { value: 'own', name: 'another', does: 'Any number: what it will do is said below.' },
    ]"
    @change="choose"
  />
  <CountField
    v-if="school === 'own'"
    :label="label"
    :value="value as number"
    :bounds="oval ? PER_END : INCREASES"
    @change="put"
  />
</template>
