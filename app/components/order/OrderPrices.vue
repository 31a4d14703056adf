<script setup lang="ts">
import { computed } from 'vue'
import { money } from '~~/core/household/plan/list'
import type { Order } from '~~/core/household/plan/order'
import type { OrderPrice } from '~~/core/household/plan/price'

/** Cost of each bag of an order, the price that pays for it, and what an hour brings at the price that is asked. */
const props = defineProps<{ order: Order, price: OrderPrice }>()

const written = (hundredths: number | undefined) => (hundredths === undefined ? '' : money(hundredths, ''))
const rows = computed(() => props.order.bags.map((line, i) => ({ line, own: props.price.lines[i] })))
const unpriced = computed(() => [...new Set(props.price.lines.flatMap(own => own?.unpriced ?? []))])
const whole = computed(() => {
  const { bags, pays, brings, anHour } = props.price
  const inMoney = (hundredths: number) => money(hundredths, props.order.money.currency)
  const [has, asks] = bags === 1 ? ['It has', 'it brings'] : [`All ${bags} have`, 'they bring']
  const anHourThen = anHour === undefined ? '' : `, and an hour ${inMoney(anHour)}`
  const asked = brings === undefined
    ? 'Name a price for each bag, and it says what an hour brings.'
    : `As asked ${asks} ${inMoney(brings)}${anHourThen}.`
  return `${has} to bring ${inMoney(pays)}. ${asked}`
})
</script>

<template>
  <div class="prices">
    <div
      class="wide"
      role="region"
      tabindex="0"
      aria-label="What one bag costs and what pays for it"
    >
      <table>
        <caption class="only-heard">
          What one bag costs and what pays for it
        </caption>
        <thead>
          <tr>
            <th scope="col">
              One
            </th>
            <th scope="col">
              Yarn
            </th>
            <th scope="col">
              Notions
            </th>
            <th scope="col">
              Hours
            </th>
            <th scope="col">
              Fee
            </th>
            <th scope="col">
              A price that pays
            </th>
            <th scope="col">
              Asked
            </th>
            <th scope="col">
              An hour then
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="({ line, own }, i) in rows"
            :key="i"
          >
            <th scope="row">
              {{ line.name }}
            </th>
            <template v-if="own">
              <td data-says="Yarn">
                {{ written(own.yarn) }}{{ own.unpriced.length > 0 ? '*' : '' }}
              </td>
              <td data-says="Notions">
                {{ written(own.notions) }}
              </td>
              <td data-says="Hours">
                {{ written(own.hours) }}
              </td>
              <td data-says="Fee">
                {{ written(own.fee) }}
              </td>
              <td data-says="A price that pays">
                <strong>{{ written(own.pays) }}</strong>
                <span class="soft range">{{ written(own.paysLow) }} to {{ written(own.paysHigh) }}</span>
              </td>
              <td data-says="Asked">
                {{ written(line.price) }}
              </td>
              <td data-says="An hour then">
                {{ written(own.anHour) }}
              </td>
            </template>
            <td
              v-else
              colspan="7"
            >
              not known
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p>{{ whole }}</p>
    <p
      v-if="unpriced.length > 0"
      class="soft"
    >
      * No price is known of {{ unpriced.join(', ') }}: point the bag to a yarn of the shelf with the price of a ball.
    </p>
  </div>
</template>

<style scoped>
.wide { overflow-x: auto; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: right; padding: 0.35rem 0.5rem; border-bottom: 1px solid var(--line); vertical-align: top; white-space: nowrap; }
th { font-weight: 560; font-size: 0.86rem; }
th:first-child { text-align: left; padding-left: 0; white-space: normal; }
td { font-family: var(--figures); }
.range { display: block; font-size: 0.8rem; }
p { margin: 0.6rem 0 0; }
@media (--one-column) {
  thead { display: none; }
  table, tbody, tr, th, td { display: block; }
  tr { padding: 0.5rem 0; border-bottom: 1px solid var(--line); }
  th, td { border: 0; padding: 0.1rem 0; }
  td { display: flex; justify-content: space-between; gap: 1rem; }
  td:empty { display: none; }
  td::before { content: attr(data-says); font-family: var(--v-font-body); color: var(--soft-ink); margin-right: auto; }
}
</style>
