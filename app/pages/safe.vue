<script setup lang="ts">
import { onMounted } from 'vue'
import { useLibrary } from '~/stores/library'

useHead({ title: 'Kept safe · Fair Hollow' })
const library = useLibrary()
onMounted(() => void library.load())
</script>

<template>
  <div class="safe">
    <header>
      <h1>Kept safe</h1>
      <p class="soft">
        What you save is on the disk before the page says so. Here is what stands behind that, and the way to take it along.
      </p>
    </header>
    <TroubleNote
      v-if="library.copies?.barred"
      :lines="[library.copies.barred]"
      title="The records cannot be used"
    >
      <v-btn
        v-if="library.copies.isDamaged"
        class="mend"
        variant="flat"
        color="primary"
        :disabled="library.busy"
        @click="library.startFromCopy"
      >
        Start from the last good copy
      </v-btn>
    </TroubleNote>
    <TroubleNote
      :lines="library.trouble"
      title="That did not work"
    />
    <LibraryProgress />
    <LibraryCopies />
    <template v-if="!library.copies?.barred">
      <LibraryTrash />
      <LibraryParcel />
      <LibraryPhone />
    </template>
  </div>
</template>

<style scoped>
.safe { max-width: 60rem; margin: 0 auto; padding: 1.8rem 1.4rem 4rem; display: flex; flex-direction: column; gap: 1.8rem; }
header p { margin: 0.3rem 0 0; }
.mend { margin-top: 0.5rem; }
</style>
