<script setup lang="ts">
import { computed, ref } from 'vue'
import { problemLines } from '~~/core/bag/design/problem'
import { type Order, ORDER_FIELDS } from '~~/core/household/plan/order'
import { readOrder } from '~~/core/household/plan/readOrder'
import type { KeptBag } from '~~/core/household/plan/keptBags'
import { useAskedOf } from '~/composables/useAskedOf'
import { useFormTrouble } from '~/composables/useFormTrouble'

/** Entering an order: so many of which bags by a day, the evenings, and what a price is made of. Every change is planned at once. */
const props = defineProps<{ order: Order, here: readonly KeptBag[] }>()
const emit = defineEmits<{ change: [order: Order], keep: [], leave: [] }>()

const tried = ref(false)
const nameTrouble = computed(() => (props.order.name.trim() ? '' : 'Say what it is for, to find it again'))
const wrong = computed(() => {
  const reading = readOrder({ ...props.order, name: props.order.name.trim() || 'nameless' })
  return reading.ok ? [] : problemLines(reading.problems)
})

function set(changed: Partial<Order>): void {
  emit('change', { ...props.order, ...changed })
}

const asking = useAskedOf(() => props.order, order => emit('change', order), () => props.order.money.currency)
const { forWhom, from, by, taken, money, note } = ORDER_FIELDS

const { sound } = useFormTrouble()
function keep(event: Event): void {
  tried.value = true
  if (sound(event.currentTarget) && !nameTrouble.value && wrong.value.length === 0) emit('keep')
}
</script>

<template>
  <form
    class="form"
    aria-label="The order"
    @submit.prevent="keep"
  >
    <div class="row">
      <v-text-field
        label="What it is for"
        :model-value="order.name"
        placeholder="Harvest fair"
        maxlength="80"
        :error-messages="tried ? nameTrouble : ''"
        @update:model-value="(name: string) => set({ name })"
      />
      <AskedFields
        :fields="{ forWhom, from, by }"
        :asking="asking"
      />
    </div>
    <OrderLines
      :lines="order.bags"
      :here="here"
      :asking="asking"
      @change="bags => set({ bags })"
    />
    <div class="since">
      <AskedFields
        :fields="{ taken }"
        :asking="asking"
      />
    </div>
    <div class="two">
      <OrderEvenings
        :order="order"
        @change="set"
      />
      <fieldset>
        <legend>What a price is made of, besides yarn</legend>
        <div class="money">
          <AskedFields
            :fields="money.fields"
            :asking="asking"
            :at="['money']"
          />
        </div>
        <AskedFields
          :fields="{ note }"
          :asking="asking"
        />
      </fieldset>
    </div>
    <p
      v-if="wrong.length > 0"
      role="alert"
    >
      {{ wrong.join('; ') }}
    </p>
    <div class="buttons">
      <v-btn
        type="submit"
        variant="flat"
        color="primary"
      >
        Keep this order
      </v-btn>
      <v-btn
        variant="outlined"
        @click="emit('leave')"
      >
        Cancel
      </v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: flex; flex-direction: column; gap: 1.1rem; padding: 1.2rem; background: var(--sheet); border: 1px solid var(--line);
  border-radius: 6px; min-width: 0;
}
.row { display: grid; grid-template-columns: 1.4fr 1.4fr 1fr 1fr; align-items: start; gap: 0.5rem; }
.two { display: grid; grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr); gap: 1.6rem; }
.money {
  display: grid; grid-template-columns: repeat(auto-fit, minmax(min(8.5rem, 100%), 1fr)); align-items: end; gap: 0.5rem;
  margin-bottom: 0.6rem;
}
fieldset { border: 0; padding: 0; margin: 0; min-width: 0; }
legend { font-size: 0.84rem; color: var(--soft-ink); padding: 0; margin-bottom: 0.4rem; }
p { margin: 0; color: rgb(var(--v-theme-error)); }
.since { max-width: 17rem; }
.buttons { display: flex; gap: 0.5rem; }
@media (--stacked) { .row { grid-template-columns: 1fr 1fr; } .two { grid-template-columns: minmax(0, 1fr); } }
@media (--phone) { .row { grid-template-columns: minmax(0, 1fr); } .form { padding: 0.8rem; } }
</style>
