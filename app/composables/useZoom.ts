import { useEventListener } from '@vueuse/core'
import type { D3ZoomEvent, ZoomTransform } from 'd3-zoom'
import { computed, onMounted, type Ref, shallowRef } from 'vue'

/** How far a drawing is enlarged at most, and by how much with each press of a key. */
const MOST = 12
const STEP = 1.25
/** A press that moves further than this is a drag, not a tap. */
const TAP_PX = 5

/** A drawing that stands whole leaves one finger to the page, which it scrolls; a grip in the drawing moves itself. */
function isForZoom(event: Event, zoom: number): boolean {
  if (event.target instanceof Element && event.target.closest('[role=slider]')) return false
  if ('touches' in event) return (event as TouchEvent).touches.length > 1 || zoom > 1
  return event.type === 'wheel' || (event as MouseEvent).button === 0
}

/** Zoom and pan of one element: its edges never come further in than the element's own. */
async function zoomOf(box: HTMLElement, seen: (transform: ZoomTransform) => void) {
  const [{ select }, { zoom, zoomIdentity, zoomTransform }] = await Promise.all([import('d3-selection'), import('d3-zoom')])
  const clamp = (at: number, length: number) => Math.min(0, Math.max(length, at))
  const zooming = zoom<HTMLElement, unknown>()
    .scaleExtent([1, MOST])
    .clickDistance(TAP_PX)
    .filter(event => isForZoom(event as Event, zoomTransform(box).k))
    .constrain(({ k, x, y }, [, [width, height]]) =>
      zoomIdentity.translate(clamp(x, width * (1 - k)), clamp(y, height * (1 - k))).scale(k))
    .on('zoom', ({ transform }: D3ZoomEvent<HTMLElement, unknown>) => seen(transform))
  const drawing = select(box)
  drawing.call(zooming).on('dblclick.zoom', null)
  return {
    by: (times: number) => drawing.call(zooming.scaleBy, times), stay: () => drawing.call(zooming.translateBy, 0, 0),
    fit: () => drawing.call(zooming.transform, zoomIdentity),
  }
}

const WHOLE = { k: 1, x: 0, y: 0 }

/**
 * Looking closer at a drawing: wheel and pinch enlarge it about where they point, a drag moves it once it is enlarged; `fit` lays it out
 * whole again. A place at `p` of the whole drawing is seen at `pan + zoom * p`. Its code is fetched when the pointer comes near; where one
 * points with a finger, at once.
 */
export function useZoom(box: Ref<HTMLElement | undefined>) {
  const seen = shallowRef<Pick<ZoomTransform, 'k' | 'x' | 'y'>>(WHOLE)
  let zooming: Promise<Awaited<ReturnType<typeof zoomOf>> | undefined> | undefined
  // If it does not come, it is asked for again the next time.
  const ready = () => (zooming ??= zoomOf(box.value!, transform => (seen.value = transform)).catch(() => (zooming = undefined)))
  useEventListener(box, 'pointerenter', ready)
  useEventListener('resize', () => void zooming?.then(zoom => zoom?.stay()))
  onMounted(() => matchMedia('(pointer: coarse)').matches && void ready())

  const by = (times: number) => ready().then(zoom => void zoom?.by(times))
  return {
    zoom: computed(() => seen.value.k), pan: seen, near: computed(() => seen.value.k > 1.001),
    closer: () => by(STEP), further: () => by(1 / STEP), fit: () => ready().then(zoom => void zoom?.fit()),
  }
}
