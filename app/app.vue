<script setup lang="ts">
import { usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'
import { useTheme } from 'vuetify'
import { useSettings } from '~/stores/settings'

const settings = useSettings()
const route = useRoute()
/** A screen that has nothing on it but itself. */
const bare = computed(() => route.meta.bare === true)
const theme = useTheme()
const machineIsDark = usePreferredDark()
const lit = computed(() => settings.light === 'machine' ? (machineIsDark.value ? 'dark' : 'light') : settings.light)
watchEffect(() => theme.change(lit.value))
</script>

<template>
  <v-app>
    <TopBar
      v-if="!bare"
      class="not-on-paper"
    />
    <main :class="{ page: !bare }">
      <NuxtErrorBoundary>
        <NuxtPage />
        <template #error="{ clearError }">
          <PageBroken @again="clearError" />
        </template>
      </NuxtErrorBoundary>
    </main>
  </v-app>
</template>

<style>
.page { padding-top: 3.25rem; min-height: 100dvh; }
@media print { .page { padding-top: 0; } }
</style>
