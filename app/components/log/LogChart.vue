<script setup lang="ts">
import { BarChart, CustomChart, LineChart, ScatterChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, onMounted, ref, watch } from 'vue'
import VChart from 'vue-echarts'
import { useTheme } from 'vuetify'
import type { ChartOption, Inks } from '~/looks/charts'

use([
  SVGRenderer, BarChart, CustomChart, LineChart, ScatterChart, AriaComponent, GridComponent, LegendComponent, MarkLineComponent,
  TooltipComponent,
])

/** A chart, drawn in the page's own colours; a table that says the same stands below it. */
const props = defineProps<{ title: string, draw: (inks: Inks) => ChartOption, height?: number }>()

const theme = useTheme()
const inks = ref<Inks>()

function look(): void {
  const style = getComputedStyle(document.documentElement)
  const { colors, dark } = theme.current.value
  inks.value = {
    ink: dark ? '#efe7da' : '#2b2621', soft: dark ? '#cfc4b3' : '#5d554b', line: dark ? '#5a5148' : '#cfc5b6',
    accent: String(colors.primary),
    other: dark ? '#9dbb8c' : '#5f7d4f', third: dark ? '#d9b469' : '#a87a1f', paper: String(colors.surface),
    font: style.getPropertyValue('--v-font-body') || 'sans-serif',
  }
}
onMounted(look)
watch(() => theme.current.value, look)
const option = computed(() => inks.value && props.draw(inks.value))
</script>

<template>
  <figure>
    <figcaption>{{ title }}</figcaption>
    <VChart
      v-if="option"
      class="chart"
      :style="{ height: `${height ?? 240}px` }"
      :option="option"
      :init-options="{ renderer: 'svg' }"
      autoresize
    />
    <details>
      <summary>As a table</summary>
      <slot />
    </details>
  </figure>
</template>

<style scoped>
figure { margin: 0; min-width: 0; }
figcaption { font-family: var(--v-font-heading); font-weight: 620; margin-bottom: 0.3rem; }
.chart { width: 100%; }
details { margin-top: 0.2rem; font-size: 0.92rem; }
summary { cursor: pointer; color: var(--soft-ink); }
</style>
