import { computed, type ComputedRef } from 'vue'
import type { Yarn } from '~~/core/bag/design/design'
import type { DraftPart } from '~~/core/bag/draft/draft'
import type { QuestionContext } from '~~/core/parts/field/context'
import type { Units } from '~~/core/things/measure/format'
import type { Change } from '~~/core/parts/part/finding'
import { useDocument } from '~/stores/document'
import { useTranslate } from './useTranslate'

/** Target of questions: a spec, what it came to, and where answers go. Paths start at the spec. */
export interface Asking {
  readonly spec: object
  /** Where the spec stands in the design; nothing for what is no design. */
  readonly at?: readonly (string | number)[]
  readonly now: QuestionContext
  readonly units: Units
  readonly yarns: readonly Yarn[]
  /** Written behind sums of money. */
  readonly currency?: string
  /** Takes an answer as an edit; keystrokes in one field, told by `group`, are one. Returns why it was not taken, if it was not. */
  readonly answer: (label: string, changes: readonly Change[], group?: string) => string | undefined
}

/** Asks a spec of the bag in hand, by where it stands in the design and what was drafted from it. */
export function useAnswers(
  at: () => readonly string[],
  spec: () => object,
  part: () => DraftPart | undefined = () => undefined,
): ComputedRef<Asking> {
  const bag = useDocument()
  const told = useTranslate()
  return computed(() => {
    const asked = part()
    return {
      spec: spec(), at: at(), units: bag.design.units, yarns: bag.design.yarns,
      now: { gauge: bag.draft.gauge, hook: bag.design.gauge, ...(asked ? { part: asked } : {}) },
      answer(label, changes, group) {
        const path = at()
        return bag.change(
          told(label),
          changes.map(change => ({ ...change, path: [...path, ...change.path] })),
          group && [...path, group].join('.'),
        )
      },
    }
  })
}
