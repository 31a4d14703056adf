<script setup lang="ts">
import { useTrashNote } from '~/composables/useTrashNote'
import { mdiDeleteOutline } from '@mdi/js'
import { computed } from 'vue'
import { useMakes } from '~/stores/makes'

/** The bags on the hook, with how far each is. */
const shelf = useMakes()
const { gone, throwAway, takeBack } = useTrashNote(shelf)
/** Finished ones stand in the logbook. */
const inHand = computed(() => shelf.makes.filter(({ progress }) => !progress?.finished))
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <section
    v-if="inHand.length > 0 || shelf.trouble.length > 0 || gone"
    aria-label="On the hook"
  >
    <h2 class="ruled">
      On the hook
    </h2>
    <TroubleNote
      :lines="shelf.trouble"
      title="That did not work"
    />
    <ul>
      <li
        v-for="make in inHand"
        :key="make.id"
      >
        <NuxtLink
          :to="`/makes/${make.id}`"
        >
          <strong>{{ make.name }}</strong>
          <span
            class="bar"
            aria-hidden="true"
          ><span :style="{ width: `${Math.round((make.progress?.share ?? 0) * 100)}%` }" /></span>
          <span>{{ make.progress?.words ?? 'Just begun' }}<span class="soft">, {{ format(new Date(make.updatedAt)) }}</span></span>
        </NuxtLink>
        <IconButton
          :icon="mdiDeleteOutline"
          :name="`Throw ${make.name} off the hook`"
          hint="Throw off the hook"
          @click="throwAway(make.id)"
        />
      </li>
    </ul>
    <TrashNote
      :name="gone?.name"
      @back="takeBack"
      @close="gone = undefined"
    />
  </section>
</template>

<style scoped>
ul {
  list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  gap: 0.8rem 1.4rem;
}
li { display: flex; align-items: center; gap: 0.3rem; }
a {
  flex: 1; min-width: 0; display: flex; flex-direction: column; gap: 0.25rem; padding: 0.6rem 0.8rem; border: 1px solid var(--line);
  border-left: 4px solid var(--accent); border-radius: 0.4rem; background: var(--sheet); color: inherit; text-decoration: none;
}
a:hover strong { color: var(--accent); text-decoration: underline; text-underline-offset: 3px; }
strong { font-family: var(--v-font-heading); font-size: 1.1rem; }
.bar { height: 6px; border: 1px solid var(--strong-line); border-radius: 3px; overflow: hidden; }
.bar span { display: block; height: 100%; background: var(--accent); }
</style>
