/*
 * A drawing of stitches from close by: every thread by itself, so that the one to pick up can be lit, and the way that the hook goes.
 * Units are twentieths of a stitch's width; y runs downwards.
 */

/** A thread of a drawing. */
export interface Thread {
  readonly path: string
  /** The hook picks it up. */
  readonly lit?: true
  /** It lies behind the fabric, and is seen through it. */
  readonly behind?: true
}

/** A way of the hook: in front of the fabric, or behind it; an arrow stands at the end of the last one. */
interface Way {
  readonly path: string
  readonly behind?: true
}

/** A drawing: its threads from the back to the front, and the hook's way over them. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly threads: readonly Thread[]
  readonly way: readonly Way[]
  /** Where the arrow's head is, and which way it points, in degrees clockwise from the right. */
  readonly head: { readonly x: number, readonly y: number, readonly degrees: number }
}

/** The parts of a stitch that a hook can take. */
type StitchPart = 'front' | 'back' | 'third' | 'stem'

/** The threads of a stitch whose V lies about (x, y): its stem, the bar behind, and the two threads of the V; those taken are lit. */
export function stitch(x: number, y: number, taken: readonly StitchPart[] = [], tall = 26): Thread[] {
  const lit = (part: StitchPart) => (taken.includes(part) ? { lit: true as const } : {})
  return [
    { path: `M${x - 8} ${y - 9}C${x - 3} ${y - 14} ${x + 4} ${y - 14} ${x + 9} ${y - 9}`, behind: true, ...lit('third') },
    { path: `M${x - 3} ${y + 4}C${x - 4} ${y + tall / 2} ${x - 5} ${y + tall * 0.8} ${x - 6} ${y + tall}`, ...lit('stem') },
    { path: `M${x + 3} ${y + 4}C${x + 4} ${y + tall / 2} ${x + 5} ${y + tall * 0.8} ${x + 6} ${y + tall}`, ...lit('stem') },
    { path: `M${x - 9} ${y - 2}C${x - 5} ${y - 9} ${x + 4} ${y - 9} ${x + 11} ${y - 1}`, ...lit('back') },
    { path: `M${x - 9} ${y - 1}C${x - 5} ${y + 6} ${x + 4} ${y + 7} ${x + 11} ${y}`, ...lit('front') },
  ]
}

/** A row of stitches, the one in the middle with what is taken lit. */
export function row(count: number, y: number, taken: readonly StitchPart[] = [], middle = Math.floor(count / 2)): Thread[] {
  return Array.from({ length: count }, (_, i) => stitch(16 + i * 20, y, i === middle ? taken : [])).flat()
}

/** A link of a chain from (x, y) on: its two threads, and the bump behind them. */
function link(x: number, y: number, taken: readonly ('upper' | 'lower' | 'bump')[] = []): Thread[] {
  const lit = (part: 'upper' | 'lower' | 'bump') => (taken.includes(part) ? { lit: true as const } : {})
  return [
    { path: `M${x + 3} ${y}C${x + 7} ${y - 3} ${x + 12} ${y - 3} ${x + 16} ${y}`, behind: true, ...lit('bump') },
    { path: `M${x} ${y}C${x + 4} ${y - 8} ${x + 14} ${y - 8} ${x + 20} ${y - 1}`, ...lit('upper') },
    { path: `M${x} ${y}C${x + 4} ${y + 8} ${x + 14} ${y + 8} ${x + 20} ${y + 1}`, ...lit('lower') },
  ]
}

/** A chain seen from its back, where a bump lies across every link; the middle one is lit. */
export function chainFromBehind(count: number, x: number, y: number): Thread[] {
  return Array.from({ length: count }, (_, i): Thread[] => {
    const at = x + i * 18
    const lit = i === Math.floor(count / 2) ? { lit: true as const } : {}
    return [...link(at, y).slice(1), { path: `M${at + 3} ${y + 1}C${at + 7} ${y - 5} ${at + 13} ${y - 5} ${at + 17} ${y + 1}`, ...lit }]
  }).flat()
}

/** A chain of links one after the other, lit in the middle. */
export function chainOf(count: number, x: number, y: number, taken: readonly ('upper' | 'lower' | 'bump')[] = []): Thread[] {
  return Array.from({ length: count }, (_, i) => link(x + i * 18, y, i === Math.floor(count / 2) ? taken : [])).flat()
}

/** An arc of chains from one place to another, hanging up over the gap. */
export function arc(from: number, to: number, y: number, lit = false): Thread[] {
  const middle = (from + to) / 2
  const high = y - (to - from) * 0.45
  const more = lit ? { lit: true as const } : {}
  return [
    { path: `M${from} ${y}Q${middle} ${high - 6} ${to} ${y}`, ...more },
    { path: `M${from} ${y + 3}Q${middle} ${high + 6} ${to} ` + `${y + 3}`, ...more },
  ]
}

/** A drawing of threads with a way that ends in an arrow. */
export function picture(width: number, height: number, threads: readonly Thread[], way: readonly Way[], head: Picture['head']): Picture {
  return { width, height, threads, way, head }
}
