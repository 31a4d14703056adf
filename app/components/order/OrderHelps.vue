<script setup lang="ts">
import { type OrderFix, orderFixes } from '~~/core/household/plan/lateFixes'
import type { PlanningInput, OrderPlan } from '~~/core/household/plan/orderPlan'
import { percent } from '~~/core/household/plan/words'
import type { Change } from '~~/core/parts/part/finding'

/** Fixes that make an order's date sure. */
const props = defineProps<{ plan: OrderPlan, known: () => PlanningInput }>()
const emit = defineEmits<{ take: [changes: readonly Change[]] }>()
const look = () => orderFixes(props.known(), props.plan)
const then = ({ odds }: OrderFix) => `then ${percent(odds)} that all are ready`
</script>

<template>
  <FixesFound
    ask="What would make it sure?"
    none="Nothing by itself makes it sure within four months: leave out some and give it longer."
    :of="plan"
    :look="look"
    :says="then"
    @take="({ changes }: OrderFix) => emit('take', changes)"
  />
</template>
