<script setup lang="ts">
/** The ways out of a screen that is none. Whole addresses: the page begins anew. */
</script>

<template>
  <v-btn
    variant="outlined"
    href="/"
  >
    All bags
  </v-btn>
  <v-btn
    variant="outlined"
    href="/safe"
  >
    Kept safe
  </v-btn>
</template>
