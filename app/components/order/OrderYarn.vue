<script setup lang="ts">
import type { ToBuy } from '~~/core/household/plan/buy'
import { buyWords, lotWords, money } from '~~/core/household/plan/list'
import { useTranslate } from '~/composables/useTranslate'

/** The yarn for what is still to be made: what it wants, what lies there, what to buy, by dye lot. */
defineProps<{ buying: readonly ToBuy[], currency: string }>()
const told = useTranslate()
</script>

<template>
  <ul class="yarns">
    <li
      v-for="one in buying"
      :key="one.name"
    >
      <span
        class="skein"
        :style="{ background: one.colour }"
        aria-hidden="true"
      />
      <div>
        <p>
          <strong>{{ one.name }}</strong> <span class="soft">for {{ one.bags }} {{ one.bags === 1 ? 'bag' : 'bags' }}</span>
        </p>
        <p :class="{ wanted: one.buy }">
          {{ one.buy ? 'Buy ' : '' }}{{ told(buyWords(one)) }}<template v-if="one.cost !== undefined">
            , {{ money(one.cost, currency) }}
          </template>
        </p>
        <p
          v-for="lot in lotWords(one)"
          :key="lot"
          class="soft"
        >
          {{ told(lot) }}
        </p>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.yarns { list-style: none; margin: 0; padding: 0; display: flex; flex-direction: column; gap: 0.7rem; }
li { display: flex; gap: 0.7rem; }
p { margin: 0; }
.wanted { font-weight: 560; }
.skein { flex: none; width: 1.5rem; height: 1.5rem; border-radius: 50%; border: 1px solid var(--strong-line); }
</style>
