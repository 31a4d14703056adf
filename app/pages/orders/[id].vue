<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { withChanges } from '~~/core/bag/design/edit'
import type { Change } from '~~/core/parts/part/finding'
import { yarnToBuy } from '~~/core/household/plan/buy'
import { calendarOf } from '~~/core/household/plan/calendar'
import { dayWithYear } from '~~/core/household/plan/days'
import type { Order, OrderLine } from '~~/core/household/plan/order'
import { priceOfOrder } from '~~/core/household/plan/price'
import { withKeptBags } from '~~/core/household/plan/keptBags'
import { newOrder } from '~~/core/household/plan/starter'
import { eveningCare, SELLING_CARE, senseless, stateWords, verdictWords } from '~~/core/household/plan/words'
import { SURE_ENOUGH } from '~~/core/household/shelf/enough'
import { unfinishedFormOf } from '~/keeping/unfinishedForms'
import { useOrders } from '~/stores/orders'
import { useYarns } from '~/stores/yarns'

/** One order: how it stands, evening by evening, its yarn and its price; while it is being entered all of that answers at once. */
const route = useRoute()
const router = useRouter()
const shelf = useOrders()
const yarns = useYarns()

const id = computed(() => route.params.id as string)
const isNew = computed(() => id.value === 'new')
const kept = computed(() => shelf.sound.find(one => one.id === id.value))
/** The order as it is being entered; nothing while it is only looked at. */
const entering = shallowRef<Order>()
const order = computed(() => entering.value ?? kept.value?.document)
const picked = ref(route.query.day as string | undefined)
useHead({ title: () => `${order.value?.name || 'An order'} · Orders · Fair Hollow` })

onMounted(async () => {
  await Promise.all([shelf.load(), yarns.load()])
  const left = written.left()
  if (left && left.id === (isNew.value ? undefined : id.value) && (isNew.value || kept.value)) enter(withBag(left.document))
  else if (isNew.value) begin()
})

/** The order being entered, kept by the browser until it is kept by the program. */
const written = unfinishedFormOf<Order>('order')

function change(told: Order): void {
  enter(told)
  written.keep(entering.value!, isNew.value ? undefined : id.value)
}

function done(): void {
  written.end()
  entering.value = undefined
}

/** An order with the bag in it that the address names perhaps. */
function withBag(order: Order): Order {
  const bag = shelf.context.here.find(one => one.id === route.query.bag)
  if (!bag || order.bags.some(line => line.bag === bag.id)) return order
  return { ...order, bags: [...order.bags.filter(({ name }) => name !== ''), { bag: bag.id, name: bag.name, count: 1 }] }
}

function begin(): void {
  enter(withBag(newOrder(shelf.today, shelf.sound[0]?.document)))
}

function enter(told: Order): void {
  const next = withKeptBags(told, shelf.context.here)
  entering.value = next
  if (next.bags.some(line => !shelf.bagOf(line))) void shelf.look(next.bags)
}

const plans = computed(() => {
  if (!shelf.looked || !order.value) return []
  return shelf.plansWith(entering.value ? { id: id.value, order: entering.value } : undefined)
})
const plan = computed(() => plans.value.find(one => one.id === id.value))
const weeks = computed(() => (plan.value ? calendarOf([plan.value], shelf.today, plans.value.filter(one => one !== plan.value)) : []))
/** Reasons why the order cannot be planned, said instead of odds. */
const nonsense = computed(() => {
  if (!order.value || !plan.value) return []
  const done = plan.value.wanted > 0 && plan.value.finished >= plan.value.wanted
  return done ? [] : senseless(order.value, shelf.today)
})
const buying = computed(() =>
  plan.value ? yarnToBuy([plan.value], yarns.byId, plans.value.slice(0, plans.value.indexOf(plan.value))) : [])
const price = computed(() => plan.value && priceOfOrder(plan.value.order, known().workOf, yarns.byId))
const unsure = computed(() => plan.value !== undefined && plan.value.jobs.length > 0 && plan.value.sure.odds < SURE_ENOUGH)
const known = () => shelf.knownWith(entering.value ? { id: id.value, order: entering.value } : undefined)
const whyOf = (line: OrderLine) => shelf.bagOf(line)?.why
const care = computed(() => (order.value ? [...eveningCare(order.value), SELLING_CARE] : []))

const FILES = [
  { as: 'list', says: 'What to buy, as a list' }, { as: 'table', says: 'What to buy, as a table' },
  { as: 'calendar', says: 'Evenings for your calendar' }, { as: 'pdf', says: 'The order on paper' },
  { as: 'order', says: 'The order as a file' },
]

async function keep(): Promise<void> {
  const told = entering.value!
  if (isNew.value) {
    if (!await shelf.add({ ...told, name: told.name.trim() })) return
    done()
    await router.replace(`/orders/${shelf.orders[0]!.id}`)
  }
  else if (await shelf.save(kept.value!, { ...told, name: told.name.trim() })) {
    done()
  }
}

function leave(): void {
  done()
  if (isNew.value) void router.push('/orders')
}

/** A change taken outside the form: into it while it is open, else kept at once. */
async function take(changes: readonly Change[]): Promise<void> {
  const next = withChanges(order.value!, changes)
  if (entering.value) change(next)
  else await shelf.save(kept.value!, next)
}

watch(id, () => (entering.value = undefined))
</script>

<template>
  <div class="order">
    <p class="back">
      <NuxtLink to="/orders">
        Orders
      </NuxtLink>
    </p>
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <p v-if="shelf.looked && !order && !isNew">
      There is no such order here; it may have been deleted.
    </p>
    <OrderForm
      v-if="entering"
      :order="entering"
      :here="shelf.context.here"
      @change="change"
      @keep="keep"
      @leave="leave"
    />
    <header v-else-if="order">
      <div>
        <h1>{{ order.name }}</h1>
        <p>
          by the morning of {{ dayWithYear(order.by) }}<span v-if="order.forWhom">, for {{ order.forWhom }}</span>
        </p>
        <p
          v-if="order.note"
          class="soft"
        >
          {{ order.note }}
        </p>
      </div>
      <div class="doing not-on-paper">
        <v-btn
          variant="outlined"
          @click="take([{ path: ['stands'], value: order.stands === 'open' ? 'closed' : 'open' }])"
        >
          {{ order.stands === 'open' ? 'Close it' : 'Open it again' }}
        </v-btn>
        <v-btn
          variant="flat"
          color="primary"
          @click="enter(order)"
        >
          Change it
        </v-btn>
      </div>
    </header>
    <p v-if="order?.stands === 'closed'">
      This order is closed: it takes no more evenings, and no yarn is put by for it.
    </p>
    <template v-if="plan && order && price">
      <section aria-label="How it stands">
        <p class="state">
          {{ stateWords(plan) }}
        </p>
        <p
          v-for="line in nonsense"
          :key="line"
          role="alert"
          class="behind"
        >
          {{ line }}
        </p>
        <p
          v-if="nonsense.length === 0"
          role="status"
          :class="{ behind: plan.behind.length > 0 }"
        >
          {{ verdictWords(plan) }}
        </p>
        <OrderTally
          v-if="nonsense.length === 0"
          :plan="plan"
          :why-of="whyOf"
        />
        <OrderHelps
          v-if="unsure && nonsense.length === 0"
          class="helps not-on-paper"
          :plan="plan"
          :known="known"
          @take="take"
        />
      </section>
      <section aria-labelledby="evenings">
        <h2
          id="evenings"
          class="ruled"
        >
          Evenings
        </h2>
        <p class="soft">
          Minutes planned of those at the hook, the pauses left out; beside a bag that gets done, how often it is ready in time.
          Pick an evening to make it longer, or none.
        </p>
        <OrderCalendar
          :weeks="weeks"
          :today="shelf.today"
          :picked="picked"
          named
          @pick="day => (picked = day)"
        />
        <EveningPicked
          v-if="picked"
          :order="order"
          :day="picked"
          @change="others => take([{ path: ['otherEvenings'], value: others }])"
          @close="picked = undefined"
        />
      </section>
      <div class="two">
        <section aria-labelledby="yarn">
          <h2
            id="yarn"
            class="ruled"
          >
            Yarn
          </h2>
          <OrderYarn
            :buying="buying"
            :currency="order.money.currency"
          />
          <p
            v-if="buying.length === 0"
            class="soft"
          >
            Nothing more is wanted.
          </p>
        </section>
        <section aria-labelledby="price">
          <h2
            id="price"
            class="ruled"
          >
            Price
          </h2>
          <OrderPrices
            :order="order"
            :price="price"
          />
        </section>
      </div>
      <section
        v-if="!entering"
        aria-labelledby="out"
        class="not-on-paper"
      >
        <h2
          id="out"
          class="ruled"
        >
          To take along
        </h2>
        <div class="files">
          <v-btn
            v-for="{ as, says } in FILES"
            :key="as"
            size="small"
            variant="outlined"
            :href="shelf.fileOf(as, id)"
          >
            {{ says }}
          </v-btn>
        </div>
      </section>
      <ul class="care soft">
        <li
          v-for="text in care"
          :key="text"
        >
          {{ text }}
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.order { max-width: 72rem; margin: 0 auto; padding: 1.2rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.4rem; }
.back { margin: 0; }
.back a { color: var(--accent); }
header { display: flex; flex-wrap: wrap; gap: 1rem; justify-content: space-between; align-items: flex-start; }
header p { margin: 0.3rem 0 0; }
.doing, .files { display: flex; flex-wrap: wrap; gap: 0.5rem; }
section p { margin: 0 0 0.6rem; }
.state { font-family: var(--v-font-heading); font-size: 1.15rem; font-weight: 640; }
.behind { color: rgb(var(--v-theme-error)); font-weight: 560; }
.helps { margin-top: 0.9rem; }
.two { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr); gap: 2rem; }
.care { margin: 0; padding-left: 1.1rem; font-size: 0.88rem; }
@media (--stacked) { .two { grid-template-columns: minmax(0, 1fr); } }
</style>
