<script setup lang="ts">
import { type Aside, useLibrary } from '~/stores/library'

/** The trash: a document lies there for a while, and comes back as it was. */
const house = useLibrary()
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' })
const SORT: Readonly<Record<Aside['kind'], string>> = {
  designs: 'bag', swatches: 'swatch', yarns: 'yarn', orders: 'order', makes: 'off the hook',
}
const until = ({ removedAt }: Aside) => format(Date.parse(removedAt) + house.asideDays * 86_400_000)
</script>

<template>
  <section aria-labelledby="aside">
    <h2
      id="aside"
      class="ruled"
    >
      Thrown away
    </h2>
    <p class="soft">
      What you throw away lies here for {{ house.asideDays }} days and comes back as it was.
    </p>
    <p v-if="house.aside.length === 0">
      Nothing lies here.
    </p>
    <ul>
      <li
        v-for="thing in house.aside"
        :key="thing.id"
      >
        <span><strong>{{ thing.name }}</strong> <span class="soft">{{ SORT[thing.kind] }}, until {{ until(thing) }}</span></span>
        <span class="row">
          <v-btn
            size="small"
            variant="outlined"
            :disabled="house.busy"
            :aria-label="`Bring back ${thing.name}`"
            @click="house.bringBack(thing)"
          >
            Bring it back
          </v-btn>
          <v-btn
            size="small"
            :disabled="house.busy"
            :aria-label="`Throw ${thing.name} away for good`"
            @click="house.forget(thing)"
          >
            For good
          </v-btn>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
p { margin: 0 0 0.6rem; }
ul { list-style: none; margin: 0; padding: 0; }
li {
  display: flex; flex-wrap: wrap; gap: 0.6rem; justify-content: space-between; align-items: center; padding: 0.45rem 0;
  border-top: 1px solid var(--line);
}
.row { display: flex; gap: 0.4rem; }
</style>
