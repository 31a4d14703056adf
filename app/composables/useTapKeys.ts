import { tryOnScopeDispose, useEventListener } from '@vueuse/core'

/** Acts of a hand or a pedal: on with the next beat, or one back. */
interface HandActions {
  readonly on: () => void
  readonly back: () => void
}

/** Keys that mean a beat is done: the space bar, and what foot pedals send; and those that take it back. */
const ON = [' ', 'Enter', 'ArrowRight', 'PageDown']
const BACK = ['Backspace', 'ArrowLeft', 'PageUp']

/** A tap held so long takes the last beat back; a finger that moves so far has swiped. */
const HELD_MS = 550
const SWIPED_PX = 60

function isFor(target: EventTarget | null, key: string): boolean {
  const element = target instanceof HTMLElement ? target : undefined
  // A choice in focus takes the arrows for itself, a field to type in takes everything.
  const field = element?.closest('input, textarea, select')
  if (field) return field.matches('[type=radio], [type=checkbox]') && !key.startsWith('Arrow')
  // A button in focus takes space and Enter for itself, unless it is the beat.
  const button = element?.closest('button, a')
  return !button || button.hasAttribute('data-beat') || ![' ', 'Enter'].includes(key)
}

/** Listens to keys, taps, held taps and swipes. Returns what the area to tap listens with. */
export function useTapKeys({ on, back }: HandActions) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let down: { readonly x: number, readonly y: number } | undefined
  let used = false

  function onKey(event: KeyboardEvent): void {
    if (event.altKey || event.metaKey || event.ctrlKey || document.querySelector('[role="dialog"]')) return
    const does = ON.includes(event.key) ? on : BACK.includes(event.key) ? back : undefined
    if (!does || !isFor(event.target, event.key)) return
    event.preventDefault()
    if (!event.repeat) does()
  }
  useEventListener('keydown', onKey)
  tryOnScopeDispose(() => clearTimeout(timer))

  function press(event: PointerEvent): void {
    if (event.button !== 0) return
    used = false
    down = { x: event.clientX, y: event.clientY }
    timer = setTimeout(() => {
      used = true
      back()
    }, HELD_MS)
  }

  function release(event: PointerEvent): void {
    clearTimeout(timer)
    if (!down || used) return
    const [x, y] = [event.clientX - down.x, event.clientY - down.y]
    if (Math.abs(x) > SWIPED_PX && Math.abs(x) > Math.abs(y)) {
      used = true
      back()
    }
  }

  function cancel(): void {
    clearTimeout(timer)
    down = undefined
  }

  /** A click that was not held or swiped; screen readers and keys click without pressing. */
  function click(event: MouseEvent): void {
    const byKey = event.detail === 0 && down === undefined
    down = undefined
    if (used && !byKey) {
      used = false
      return
    }
    on()
  }

  return { pointerdown: press, pointerup: release, pointercancel: cancel, pointerleave: cancel, click }
}
