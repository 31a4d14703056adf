import { YARN_WEIGHTS, type YarnWeight } from '../stitch/yarnWeights'
import type { Swatch } from './gauge'

/*
 * A gauge to begin with, before anybody has made a swatch: what the standard says is usual for a class of yarn, on whatever hook.
 */

const FOUR_INCHES_CM = 10.16

/** Single crochet is a little wider than tall: rounds to stitches in the same length (rule of thumb). */
const ROUNDS_PER_STITCH = 1.06

/** Lace is told in double crochet, whose stitches are as wide; what is finer than any class keeps to it. */
const middle = ([from, to]: readonly [number, number]) => (from + to) / 2

/** The hook that is usual for a class: the middle of those the standard names. */
export function usualHookMm({ hookMm }: YarnWeight): number {
  return middle(hookMm)
}

/** A firm bag is worked with a hook so much finer than the standard names for a scarf (rule of thumb). */
export const FIRM_SHARE = 0.75

/**
 * The usual single crochet of a class of yarn on a hook: the middle of the standard's gauge on the middle of its hooks, and stitches as
 * much smaller as the hook is finer (Craft Yarn Council's Standard Yarn Weight System, from memory; the way with hooks: rule of thumb).
 */
export function usualGauge(weightClass: YarnWeight['number'], hookMm: number): Swatch {
  const weight = YARN_WEIGHTS.find(({ number }) => number === weightClass)!
  const stitchCm = (FOUR_INCHES_CM / middle(weight.stitchesIn4Inches)) * (hookMm / usualHookMm(weight))
  const stitches = Math.round(20 / stitchCm) / 2
  return {
    hookMm, strands: 1, assumed: true,
    measured: { sc: { stitches, rounds: Math.round(2 * stitches * ROUNDS_PER_STITCH) / 2, overCm: 10 } },
  }
}
