import { chain, each, inOne, skip, type Step } from '../round/step'
import type { Texture, TextureRound } from '../texture/texture'

/*
 * Edgings above a casing, or on any mouth (handbook 9): declarations like the textures of a wall, but of so many rounds.
 */

export const RUFFLE_STITCHES = ['sc', 'hdc', 'dc'] as const
export const RIMS = ['slip', 'reverse'] as const

/** So many stitches in each box, then an increase in every so many. */
export interface RuffleSpec {
  readonly band: 'ruffle'
  readonly stitch: (typeof RUFFLE_STITCHES)[number]
  readonly inEach: number
  /** One increase in every so many stitches of the second round; none, and no second round, if 0. */
  readonly every: number
  readonly colour: string
}

/** Little points of chain. */
export interface PicotsSpec {
  readonly band: 'picots'
  readonly chains: number
  /** Singles from one point to the next. */
  readonly between: number
  readonly colour: string
}

/** Shells with singles between, over six stitches. */
export interface ShellsSpec {
  readonly band: 'shells'
  /** Doubles in a shell. */
  readonly stitches: number
  readonly colour: string
}

/** A firm last round: slip stitches, or singles worked backwards. */
export interface RimSpec {
  readonly band: 'rim'
  readonly rim: (typeof RIMS)[number]
  readonly colour: string
}

export type EdgingSpec = RuffleSpec | PicotsSpec | ShellsSpec | RimSpec
export const EDGING_KINDS = ['ruffle', 'picots', 'shells', 'rim'] as const

/** An edging: its texture, how many rounds it has, and what steps do not say. */
export interface Edging {
  readonly texture: Texture
  readonly rounds: number
  readonly advice: readonly string[]
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b)
}

/**
 * A ruffle takes its stitches in the spaces of a round of boxes, or in every second stitch of a plain one: half the places
 * either way.
 */
function ruffle({ stitch, inEach, every }: RuffleSpec, onSpaces: boolean): Edging {
  const first: Step[] = onSpaces ? [{ ...inOne(stitch, inEach), aim: 'space' }] : [inOne(stitch, inEach), skip(1)]
  // So many boxes that their stitches divide by where the increases come.
  const boxes = every > 0 ? every / gcd(inEach, every) : 1
  const opening: TextureRound = { repeat: boxes === 1 ? first : [{ do: 'repeat', times: boxes, steps: first }] }
  const stitches = boxes * inEach
  // Of three, the middle one is doubled: 1, 2, 1.
  const before = Math.floor(every / 2)
  const unit: Step[] = [...(before > 0 ? [each(stitch, before)] : []), inOne(stitch, 2), ...(every - before - 1 > 0 ? [each(stitch, every - before - 1)] : [])]
  const times = every > 0 ? stitches / every : 0
  const second: TextureRound[] = every > 0 ? [{ repeat: times === 1 ? unit : [{ do: 'repeat', times, steps: unit }] }] : []
  return {
    texture: { asks: { multiple: 2 * boxes, plus: 0 }, gives: every > 0 ? stitches + times : stitches, main: stitch, straight: { setUp: [opening, ...second], cycle: [{ repeat: [each(stitch, 1)] }] } },
    rounds: 1 + second.length, advice: [],
  }
}

const SLIP: Texture = { asks: { multiple: 1, plus: 0 }, gives: 1, main: 'sc', straight: { setUp: [], cycle: [{ repeat: [each('slst', 1)] }] } }
const REVERSE: Texture = { asks: { multiple: 1, plus: 0 }, gives: 1, main: 'sc', straight: { setUp: [], cycle: [{ repeat: [each('sc', 1)] }] } }

/** What an edging is made of, on an edge with spaces or without. */
export function edgingOf(spec: EdgingSpec, onSpaces: boolean): Edging {
  switch (spec.band) {
    case 'ruffle': return ruffle(spec, onSpaces)
    case 'picots': {
      const repeat = [chain(spec.chains), each('sc', spec.between)]
      return { texture: { asks: { multiple: spec.between, plus: 0 }, gives: spec.between + 1, main: 'sc', straight: { setUp: [], cycle: [{ repeat }] } }, rounds: 1, advice: [] }
    }
    case 'shells': {
      const repeat = [each('sc', 1), skip(2), inOne('dc', spec.stitches), skip(2)]
      return { texture: { asks: { multiple: 6, plus: 0 }, gives: 1 + spec.stitches, main: 'dc', straight: { setUp: [], cycle: [{ repeat }] } }, rounds: 1, advice: [] }
    }
    case 'rim': return spec.rim === 'slip'
      ? { texture: SLIP, rounds: 1, advice: ['Work these {slst} loosely, or with a larger hook: they must not draw the mouth in.'] }
      : { texture: REVERSE, rounds: 1, advice: ['Work these {sc} backwards, from left to right for right hands (reverse, or crab, stitch): they stand as a cord along the edge.'] }
  }
}
