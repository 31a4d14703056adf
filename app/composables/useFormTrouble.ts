import { inject, type InjectionKey, nextTick, onBeforeUnmount, provide, ref, type Ref, useId, watch } from 'vue'

/** The link from the fields of a form to the form: which of them are wrong. */
interface FormTrouble {
  /** Says what is wrong with a field, or nothing. */
  readonly say: (field: string, trouble: string) => void
  /** Counts up with every try to keep the form: each field then shows what is wrong with it at once. */
  readonly tries: Ref<number>
}

const KEY: InjectionKey<FormTrouble> = Symbol('form trouble')

/**
 * For a form that is kept as a whole: what is typed wrong in any of its fields holds it back. A field keeps what was typed, and the last
 * sound value is not kept in its place.
 */
export function useFormTrouble() {
  const wrong = new Map<string, string>()
  const tries = ref(0)
  provide(KEY, {
    tries,
    say: (field, trouble) => void (trouble ? wrong.set(field, trouble) : wrong.delete(field)),
  })

  /** Whether the form may be kept; if not, the first field that is wrong gets the focus. */
  function sound(form: EventTarget | null): boolean {
    if (wrong.size === 0) return true
    tries.value++
    void nextTick(() => (form as HTMLElement | null)?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus())
    return false
  }

  return { sound }
}

/** For a field: tells the form it stands in, if that is kept as a whole, what is wrong with it. */
export function useToldToForm(trouble: () => string, showAtOnce: () => void): void {
  const form = inject(KEY, undefined)
  if (!form) return
  const id = useId()
  watch(trouble, text => form.say(id, text), { immediate: true })
  watch(form.tries, showAtOnce)
  onBeforeUnmount(() => form.say(id, ''))
}
