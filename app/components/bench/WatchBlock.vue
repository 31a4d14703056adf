<script setup lang="ts">
import { mdiAlert, mdiAlertOctagon, mdiCheck, mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import { askedAt, type AskedAt } from '~~/core/parts/part/askedAt'
import type { Finding, Fix, Weight } from '~~/core/parts/part/finding'
import { worstFirst } from '~~/core/parts/part/worst'
import { useTranslate } from '~/composables/useTranslate'

/** Findings, the heaviest first, each with the fix it offers and the way to where it is asked. */
const props = defineProps<{ findings: readonly Finding[], inHand: string, nameOf: (part: string) => string }>()
const emit = defineEmits<{ fix: [fix: Fix], look: [fix?: Fix], go: [at: AskedAt] }>()

const told = useTranslate()
const LOOKS: Record<Weight, { icon: string, word: string }> = {
  stop: { icon: mdiAlertOctagon, word: 'Stopped' },
  caution: { icon: mdiAlert, word: 'Take care' },
  watch: { icon: mdiEyeOutline, word: 'Keep an eye' },
  note: { icon: mdiCheck, word: 'Good to know' },
}
const sorted = computed(() => worstFirst(props.findings).map((finding) => {
  const at = askedAt(finding)
  const leads = at?.path !== undefined || (at?.part !== props.inHand && finding.weight !== 'note')
  return { finding, fixes: finding.fix ? [finding.fix, ...finding.otherFixes ?? []] : [], at: leads ? at : undefined }
}))
</script>

<template>
  <p
    v-if="findings.length === 0"
    class="soft"
  >
    Nothing stands out here.
  </p>
  <ul
    v-else
    class="findings"
  >
    <li
      v-for="{ finding, fixes, at } in sorted"
      :key="`${finding.part}-${finding.code}`"
      :class="finding.weight"
      :data-code="finding.code"
    >
      <v-icon
        :icon="LOOKS[finding.weight].icon"
        size="20"
      />
      <div>
        <strong>{{ LOOKS[finding.weight].word }}</strong>
        <p>{{ told(finding.what) }}</p>
        <div
          v-if="fixes.length > 0 || at"
          class="fixes"
        >
          <v-btn
            v-for="fix in fixes"
            :key="fix.label"
            variant="tonal"
            color="primary"
            size="small"
            class="fix"
            @click="emit('fix', fix)"
            @mouseenter="emit('look', fix)"
            @mouseleave="emit('look')"
            @focus="emit('look', fix)"
            @blur="emit('look')"
          >
            {{ told(fix.label) }}
          </v-btn>
          <v-btn
            v-if="at"
            size="small"
            class="go"
            @click="emit('go', at)"
          >
            {{ at.path ? 'Set it by hand' : `Go to ${nameOf(at.part)}` }}
          </v-btn>
        </div>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.findings { list-style: none; margin: 0; padding: 0; display: flex; flex-direction: column; gap: 0.9rem; }
li { display: flex; gap: 0.6rem; }
p { margin: 0.1rem 0 0.45rem; line-height: 1.4; font-size: 0.95rem; }
.note .v-icon { color: rgb(var(--v-theme-success)); }
.watch .v-icon { color: rgb(var(--v-theme-warning)); }
.caution .v-icon, .stop .v-icon { color: rgb(var(--v-theme-error)); }
.fixes { display: flex; flex-wrap: wrap; gap: 0.4rem; }
.fix { height: auto; min-height: 1.75rem; padding-block: 0.25rem; }
.fix :deep(.v-btn__content) { white-space: normal; text-align: left; }
</style>
