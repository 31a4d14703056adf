<script setup lang="ts">
import { type Component, computed } from 'vue'
import type { WallPart } from '~~/core/bag/design/design'
import { contextsIn } from '~~/core/bag/design/partContexts'
import type { DraftPart } from '~~/core/bag/draft/draft'
import type { Tool } from '~~/core/parts/kind/kind'
import { asksOfPart } from '~~/core/parts/wall/asksOf'
import { kindOf } from '~~/core/parts/wall/wall'
import { useAnswers } from '~/composables/useAnswers'
import { useStack } from '~/composables/useStack'
import { useDocument } from '~/stores/document'
import OwnRepeat from './OwnRepeat.vue'
import StripesTool from './StripesTool.vue'
import ThreadingTool from './ThreadingTool.vue'
import WherePlaced from './WherePlaced.vue'

/** A part of the wall: its kind, the questions of that kind, and the tools that it needs besides. */
const props = defineProps<{ spec: WallPart, part?: DraftPart | undefined }>()
const bag = useDocument()
const { turnInto } = useStack()
const asking = useAnswers(
  () => ['wall', props.spec.id],
  () => props.spec,
  () => props.part,
)
const kind = computed(() => kindOf(props.spec))
const colour = computed(() => bag.design.yarns.find(({ id }) => id === props.spec.colour)?.colour ?? '#cccccc')
const asks = computed(() => asksOfPart(props.spec, contextsIn(bag.design, bag.draft.gauge)))

const TOOLS: Readonly<Record<Tool, Component>> = {
  'own-repeat': OwnRepeat, 'own-round': OwnRepeat, 'threading': ThreadingTool, 'where-placed': WherePlaced, 'stripes': StripesTool,
}
const striped = computed(() => kind.value.tools?.includes('stripes') ?? false)
const tools = computed(() => (kind.value.tools ?? []).filter(tool => tool !== 'stripes'))
</script>

<template>
  <div class="fields">
    <KindLine
      :value="spec.kind"
      :colour="colour"
      :asks="asks"
      @pick="turnInto(spec.id, $event)"
    />
    <AskedFields
      :fields="kind.fields"
      :asking="asking"
      :skip="['colour']"
    >
      <template #swatch>
        <KeptTextures
          :spec="spec"
          :asking="asking"
        />
      </template>
    </AskedFields>
    <component
      :is="TOOLS[tool]"
      v-for="tool in tools"
      :key="tool"
      :asking="asking"
      :part="part"
    />
    <HandlesDrawn v-if="part && part.handles.length > 0" />
    <StripesTool
      v-if="striped"
      :asking="asking"
    />
    <AskedFields
      v-else
      :fields="{ colour: kind.fields.colour! }"
      :asking="asking"
    />
    <PartMeasured
      v-if="part && part.rounds.length > 0"
      :part="part"
    />
  </div>
</template>

<style scoped>
.fields { display: flex; flex-direction: column; gap: 0.95rem; }
</style>
