<script setup lang="ts">
/** The list of bags by the address that a bag's own is below. */
definePageMeta({ redirect: '/' })
</script>

<template>
  <div />
</template>
