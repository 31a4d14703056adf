import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { type DraftedBag, planningInput, type OrderContext, type LineAsked } from '~~/core/household/plan/draftedBags'
import type { Order } from '~~/core/household/plan/order'
import { type PlanningInput, type OrderPlan, planOrders } from '~~/core/household/plan/orderPlan'
import type { KeptOrder } from '~~/core/household/plan/breakdown'
import { ask } from './records'
import { useDocumentList } from './documentList'
import { useSettings } from './settings'

/** Days by this machine's clock: the Swedish way of writing them is ISO 8601's. */
const DAY = new Intl.DateTimeFormat('sv-SE')
const keyOf = ({ bag, name }: LineAsked) => `${bag} ${name}`

/** The orders, and what is known of their bags. */
export const useOrders = defineStore('orders', () => {
  const { all: orders, ...does } = useDocumentList<Order>('orders', '.order.json')
  const settings = useSettings()
  const today = ref(DAY.format())
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
  const context = shallowRef<Omit<OrderContext, 'bags'>>({ here: [], makes: [], workedToday: 0 })
  const bags = shallowRef<ReadonlyMap<string, DraftedBag>>(new Map())
  const looked = ref(false)

  /** Orders that can be read, as they are kept. */
  const sound = computed(() => orders.value.filter(({ unreadable }) => !unreadable))

  /** Asks what is known of the bags of all orders, and of some further lines. */
  async function look(further: readonly LineAsked[] = []): Promise<void> {
    today.value = DAY.format()
    const lines = [...sound.value.flatMap(({ document }) => document.bags), ...further].map(({ bag, name }) => ({ bag, name }))
    const known = await does.trying(() =>
      ask<OrderContext>('/api/orders/known', { method: 'POST', body: { zone, on: today.value, lines } }))
    if (!known) return
    const { bags: told, ...rest } = known
    context.value = rest
    bags.value = new Map(lines.map((line, i) => [keyOf(line), told[i]!]))
    looked.value = true
  }

  async function load(): Promise<void> {
    await does.load()
    await look()
  }

  async function bringBack(id: string): Promise<void> {
    await does.bringBack(id)
    await look()
  }

  /** Work of a line's bag. */
  const bagOf = (line: LineAsked): DraftedBag | undefined => bags.value.get(keyOf(line))

  /** Orders that are planned: those that are kept, one of them as it is being changed perhaps. */
  function knownWith(changed?: KeptOrder): PlanningInput {
    const kept = sound.value.map(({ id, document }): KeptOrder => ({ id, order: document })).filter(({ id }) => id !== changed?.id)
    return planningInput([...kept, ...(changed ? [changed] : [])], { ...context.value, bags: [...bags.value.values()] }, today.value)
  }

  const plansWith = (changed?: KeptOrder): OrderPlan[] => planOrders(knownWith(changed))

  /** Where a file of an order is, or of all of them. */
  const fileOf = (as: string, id?: string) =>
    `/api/orders/${id ? `${id}/` : ''}export?as=${as}&on=${today.value}&zone=${encodeURIComponent(zone)}&units=${settings.units ?? 'cm'}`

  return { orders, sound, today, context, looked, look, bagOf, knownWith, plansWith, fileOf, ...does, load, bringBack }
})
