<template>
  <p>
    <NuxtLink to="/logbook">
      Logbook
    </NuxtLink>
  </p>
</template>

<style scoped>
p { margin: 0; }
a { color: var(--accent); }
</style>
