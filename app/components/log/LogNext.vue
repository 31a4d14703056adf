<script setup lang="ts">
import { computed, ref } from 'vue'
import { useNextBag } from '~/composables/useNextBag'
import { useLogbook } from '~/stores/logbook'

/** The next one from this one: the same again, as it came out, or beside another. */
const props = defineProps<{ id: string, name: string, finished: boolean }>()
const book = useLogbook()
const router = useRouter()
const { trouble, again, cameOut } = useNextBag()
const other = ref<string | null>(null)
const others = computed(() => book.bags.filter(({ id, listed }) => id !== props.id && !listed?.fromTable))
if (book.bags.length === 0) void book.load()

function beside(): void {
  if (other.value) void router.push(`/logbook/beside?a=${props.id}&b=${other.value}`)
}
</script>

<template>
  <div class="next">
    <v-btn
      v-if="!finished"
      variant="flat"
      color="primary"
      :to="`/makes/${id}`"
    >
      Back to the hook
    </v-btn>
    <v-btn
      variant="tonal"
      color="primary"
      @click="again(id)"
    >
      Make another
    </v-btn>
    <v-btn
      variant="outlined"
      @click="cameOut(id)"
    >
      A new bag, as it came out
    </v-btn>
    <v-btn
      variant="outlined"
      :href="`/api/logbook/export?as=json&bag=${id}`"
      download
    >
      JSON
    </v-btn>
    <v-btn
      variant="outlined"
      :href="`/api/logbook/export?as=csv&bag=${id}`"
      download
    >
      CSV
    </v-btn>
    <PickField
      v-if="others.length > 0"
      v-model="other"
      class="other"
      label="Beside another bag"
      :items="others.map(bag => ({ value: bag.id, title: bag.listed?.finished ? bag.name : `${bag.name}, in hand` }))"
      @update:model-value="beside"
    />
  </div>
  <p
    v-if="trouble"
    role="alert"
  >
    {{ trouble }}
  </p>
</template>

<style scoped>
.next { display: flex; flex-wrap: wrap; gap: 0.5rem; align-items: center; }
.other { flex: 0 1 15rem; }
p { color: rgb(var(--v-theme-error)); font-weight: 560; }
</style>
