import { computed, onBeforeUnmount, onMounted, ref, type Ref } from 'vue'

/** How far a drawing is enlarged at most, and by how much with each press of a key. */
const MOST = 12
const STEP = 1.25
/** A press that moves further than this is a drag, not a tap. */
const TAP_PX = 5

interface Spot {
  readonly x: number
  readonly y: number
}

/**
 * Looking closer at a drawing: wheel and pinch enlarge it about where they point, a drag moves it once it is enlarged; `fit` lays it out
 * whole again. A place at `p` of the whole drawing is seen at `pan + zoom * p`.
 */
export function useZoom(box: Ref<HTMLElement | undefined>) {
  const zoom = ref(1)
  const pan = ref<Spot>({ x: 0, y: 0 })
  const down = new Map<number, Spot>()
  let from: { readonly spots: readonly Spot[], readonly zoom: number, readonly pan: Spot } | undefined
  let dragged = false

  /** Keeps the drawing within its box: its edges never come further in than the box's own. */
  function put(to: number, x: number, y: number): void {
    const size = box.value?.getBoundingClientRect()
    zoom.value = Math.min(MOST, Math.max(1, to))
    const within = (at: number, length: number) => Math.min(0, Math.max(length * (1 - zoom.value), at))
    pan.value = { x: within(x, size?.width ?? 0), y: within(y, size?.height ?? 0) }
  }

  /** Enlarges so many times about a place of the box. */
  function about({ x, y }: Spot, by: number): void {
    const next = Math.min(MOST, Math.max(1, zoom.value * by))
    const share = next / zoom.value
    put(next, x - (x - pan.value.x) * share, y - (y - pan.value.y) * share)
  }

  function inBox({ clientX, clientY }: { clientX: number, clientY: number }): Spot {
    const { left, top } = box.value!.getBoundingClientRect()
    return { x: clientX - left, y: clientY - top }
  }

  function onWheel(event: WheelEvent): void {
    event.preventDefault()
    about(inBox(event), Math.exp(-event.deltaY * (event.deltaMode === 1 ? 0.05 : 0.0016)))
  }

  function begin(): void {
    from = { spots: [...down.values()], zoom: zoom.value, pan: pan.value }
  }

  function onDown(event: PointerEvent): void {
    if (event.button !== 0) return
    down.set(event.pointerId, inBox(event))
    dragged = false
    begin()
  }

  function pinched([a, b]: readonly Spot[], [c, d]: readonly Spot[]): void {
    const apart = (one: Spot, two: Spot) => Math.max(1, Math.hypot(one.x - two.x, one.y - two.y))
    const middle = (one: Spot, two: Spot) => ({ x: (one.x + two.x) / 2, y: (one.y + two.y) / 2 })
    const next = Math.min(MOST, Math.max(1, (from!.zoom * apart(c!, d!)) / apart(a!, b!)))
    const [was, now] = [middle(a!, b!), middle(c!, d!)]
    const share = next / from!.zoom
    put(next, now.x - (was.x - from!.pan.x) * share, now.y - (was.y - from!.pan.y) * share)
  }

  function onMove(event: PointerEvent): void {
    if (!down.has(event.pointerId) || !from) return
    down.set(event.pointerId, inBox(event))
    const [now, was] = [[...down.values()], from.spots]
    if (now.length === 2 && was.length === 2) {
      dragged = true
      return pinched(was, now)
    }
    const by = { x: now[0]!.x - was[0]!.x, y: now[0]!.y - was[0]!.y }
    if (Math.hypot(by.x, by.y) > TAP_PX) dragged = true
    if (zoom.value > 1 && dragged) put(zoom.value, from.pan.x + by.x, from.pan.y + by.y)
  }

  function onUp(event: PointerEvent): void {
    down.delete(event.pointerId)
    begin()
  }

  /** A drag is no pick. */
  function onClick(event: MouseEvent): void {
    if (dragged && zoom.value > 1) event.stopPropagation()
    dragged = false
  }

  const LISTENED = {
    wheel: onWheel, pointerdown: onDown, pointermove: onMove, pointerup: onUp, pointercancel: onUp, pointerleave: onUp,
  } as unknown as Readonly<Record<string, (event: Event) => void>>
  onMounted(() => {
    for (const [name, does] of Object.entries(LISTENED)) box.value?.addEventListener(name, does, { passive: false })
    box.value?.addEventListener('click', onClick, { capture: true })
  })
  onBeforeUnmount(() => {
    for (const [name, does] of Object.entries(LISTENED)) box.value?.removeEventListener(name, does)
    box.value?.removeEventListener('click', onClick, { capture: true })
  })

  function middle(): Spot {
    const size = box.value?.getBoundingClientRect()
    return { x: (size?.width ?? 0) / 2, y: (size?.height ?? 0) / 2 }
  }

  return {
    zoom, pan, near: computed(() => zoom.value > 1.001), closer: () => about(middle(), STEP), further: () => about(middle(), 1 / STEP),
    fit: () => put(1, 0, 0),
  }
}
