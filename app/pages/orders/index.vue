<script setup lang="ts">
import { useTrashNote } from '~/composables/useTrashNote'
import { computed, onMounted } from 'vue'
import { yarnToBuy } from '~~/core/household/plan/buy'
import { calendarOf } from '~~/core/household/plan/calendar'
import { dayWithYear } from '~~/core/household/plan/days'
import { stateWords, verdictWords } from '~~/core/household/plan/words'
import { useOrders } from '~/stores/orders'
import { useYarns } from '~/stores/yarns'

/** All orders: those that are open in the order in which they are due, their evenings together, and the yarn for all of them. */
useHead({ title: 'Orders · Fair Hollow' })
const shelf = useOrders()
const { gone, throwAway, takeBack } = useTrashNote(shelf)
const yarns = useYarns()
const router = useRouter()
onMounted(() => Promise.all([shelf.load(), yarns.load()]))

const plans = computed(() => (shelf.looked ? shelf.plansWith() : []))
const closed = computed(() => shelf.sound.filter(({ document }) => document.stands === 'closed'))
const broken = computed(() => shelf.orders.filter(({ unreadable }) => unreadable))
/** Open orders by deadline, each with its plan; then closed ones and those that cannot be read. */
const listed = computed(() => [
  ...plans.value.flatMap(plan => shelf.sound.filter(({ id }) => id === plan.id).map(kept => ({ kept, plan }))),
  ...[...closed.value, ...broken.value].map(kept => ({ kept, plan: undefined })),
])
const weeks = computed(() => calendarOf(plans.value, shelf.today))
const buying = computed(() => yarnToBuy(plans.value, yarns.byId))
const currency = computed(() => plans.value[0]?.order.money.currency ?? '')

/** The evening of an order that is there: the first one that has it. */
function open(day: string): void {
  const found = plans.value.find(({ stretches }) => stretches.some(stretch => stretch.day === day)) ?? plans.value[0]
  if (found) void router.push(`/orders/${found.id}?day=${day}`)
}
</script>

<template>
  <div class="orders">
    <ShelfHeader
      title="Orders"
      about="So many of which bags by a day: which evenings they take, how sure the date is, what yarn to buy, what price pays."
      start="Take an order"
      file-label="An order's file"
      @start="router.push('/orders/new')"
      @file="async (file: File) => { await shelf.bringIn(file); await shelf.look() }"
    />
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <p v-if="shelf.looked && shelf.orders.length === 0">
      No orders. Take one: a dozen pouches for a fair, or a single bag for a friend; it is planned evening by evening at your own pace.
    </p>
    <ul>
      <RecordItem
        v-for="{ kept, plan } in listed"
        :key="kept.id"
        :record="kept"
        what="order"
        path="orders"
        :to="`/orders/${kept.id}`"
        @change="router.push(`/orders/${kept.id}`)"
        @remove="throwAway(kept.id)"
      >
        <template v-if="plan">
          <p>by {{ dayWithYear(kept.document.by) }}<span v-if="kept.document.forWhom">, for {{ kept.document.forWhom }}</span></p>
          <p>{{ stateWords(plan) }}</p>
          <p :class="{ behind: plan.behind.length > 0 }">
            {{ verdictWords(plan) }}
          </p>
        </template>
        <p
          v-else
          class="soft"
        >
          Closed.
        </p>
      </RecordItem>
    </ul>
    <section
      v-if="plans.length > 0"
      aria-labelledby="evenings"
    >
      <h2
        id="evenings"
        class="ruled"
      >
        All evenings
      </h2>
      <OrderCalendar
        :weeks="weeks"
        :today="shelf.today"
        :named="false"
        @pick="open"
      />
    </section>
    <section
      v-if="buying.length > 0"
      aria-labelledby="yarn"
    >
      <h2
        id="yarn"
        class="ruled"
      >
        Yarn for all of them
      </h2>
      <OrderYarn
        :buying="buying"
        :currency="currency"
      />
      <p class="soft">
        Of bags on the hook what is not made yet is counted. What bags take that belong to no order is not put by.
      </p>
      <div class="files">
        <v-btn
          size="small"
          variant="outlined"
          :href="shelf.fileOf('list')"
        >
          What to buy, as a list
        </v-btn>
        <v-btn
          size="small"
          variant="outlined"
          :href="shelf.fileOf('table')"
        >
          As a table
        </v-btn>
        <v-btn
          size="small"
          variant="outlined"
          :href="shelf.fileOf('calendar')"
        >
          Evenings for your calendar
        </v-btn>
      </div>
    </section>
    <TrashNote
      :name="gone?.document.name"
      @back="takeBack"
      @close="gone = undefined"
    />
  </div>
</template>

<style scoped>
.orders { max-width: 66rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.4rem; }
ul { list-style: none; margin: 0; padding: 0; }
.behind { color: rgb(var(--v-theme-error)); font-weight: 560; }
.files { display: flex; flex-wrap: wrap; gap: 0.5rem; margin-top: 0.8rem; }
</style>
