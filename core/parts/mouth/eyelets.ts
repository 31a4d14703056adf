import { kind } from '../kind/kind'
import { times } from '../../things/measure/length'
import type { Asks } from '../part/asks'
import { asksWords, divides, nearestCounts } from '../part/asks'
import type { Finding } from '../part/finding'
import { type PartResult, type Setting, stopped, workUp } from '../part/part'
import { type Edge, placesOf } from '../../things/round/edge'
import { chain, each, repeat, skip, type Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { type EyeletPattern, type EyeletsSpec, fields, makingOf, usualCords } from './eyeletFields'

/** Stitches that one eyelet takes. */
function wide(spec: EyeletsSpec): number {
  return makingOf(spec).takes(spec)
}

/** Fewer eyelets than this do not gather. */
const FEWEST = 4

/**
 * Demand of a casing on the count: an even number of eyelets, so that a cord leaves on the side it entered. With `evenOut` any
 * count will do.
 */
export function eyeletsAsks(spec: EyeletsSpec): Asks {
  const least = FEWEST * wide(spec)
  return spec.evenOut && makingOf(spec).made ? { multiple: 1, plus: 0, least } : { multiple: 2 * wide(spec), plus: 0, least }
}

/** How many eyelets so many stitches make: with `evenOut` the nearest even number below. */
export function eyeletsOn(spec: EyeletsSpec, count: number): number {
  const whole = Math.floor(count / wide(spec))
  return spec.evenOut ? whole - (whole % 2) : whole
}

/** Places that a casing leaves. */
export function eyeletsGive(spec: EyeletsSpec, count: number): number {
  const made = makingOf(spec).made?.(spec)
  return made ? (made.plain + 1) * eyeletsOn(spec, count) : count
}

/** How many more stitches each eyelet skips: those over, spread evenly. */
function extras(over: number, eyelets: number): number[] {
  return Array.from({ length: eyelets }, (_, i) => Math.floor(((i + 1) * over) / eyelets) - Math.floor((i * over) / eyelets))
}

/** Eyelets alike, one after the other, become one repeat. */
function stepsFor({ kind, plain, chains }: EyeletPattern, over: number, eyelets: number): Step[] {
  const more = extras(over, eyelets)
  const steps: Step[] = []
  for (let from = 0, to = 0; from < eyelets; from = to) {
    while (to < eyelets && more[to] === more[from]) to++
    steps.push(repeat(to - from, each(kind, plain), chain(chains), skip(chains + more[from]!)))
  }
  return steps
}

function refused(spec: EyeletsSpec, count: number): Finding {
  const asks = eyeletsAsks(spec)
  const { below, above } = nearestCounts(count, asks)
  const eyelets = Math.floor(count / wide(spec))
  const one = { path: ['evenOut'], value: true }
  return {
    code: 'does-not-divide', weight: 'stop',
    what: `A cord needs an even number of eyelets to leave on the side it entered, so this asks for ${asksWords(asks)}, and ${count} `
      + `stitches come up from below (${eyelets} eyelets${count % wide(spec) > 0 ? ` and ${count % wide(spec)} over` : ''}); it could `
      + `be worked on ${below === undefined ? '' : `${below} or `}${above}.`,
    ...(makingOf(spec).made
      ? { otherFixes: [{ label: 'Skip a stitch more here and there: some eyelets will be wider', changes: [one] }] }
      : {}),
  }
}

/** Gaps are the casing only over groups of three, whose round below has them. */
function gapsMissing(edge: Edge): Finding[] {
  let groups = 0
  for (let made = 2; made < edge.count; made += 3) if (edge.from[made] === edge.from[made - 2]) groups++
  return groups * 3 >= edge.count - 3
    ? []
    : [
        {
          code: 'no-gaps', weight: 'watch',
          what: 'The round below is not of groups of three, so there are no gaps to run a cord through. Put the casing on a band of '
            + 'groups, or work boxes.',
        },
      ]
}

/** Findings about a casing's round. */
function eyeletFindings(over: number, onSpaces: boolean): Finding[] {
  const uneven = `${over} ${over === 1 ? 'eyelet skips' : 'eyelets skip'} a stitch more than the others, spread round: they show as `
    + 'wider gaps.'
  return [
    ...(over > 0 ? [{ code: 'eyelets-uneven', weight: 'watch', what: uneven } as const] : []),
    ...(onSpaces
      ? [
          {
            code: 'eyelets-on-spaces', weight: 'watch',
            what: 'There are chain spaces right below: a plain round between keeps the casing firm.',
          } as const,
        ]
      : []),
  ]
}

/** Works a casing's round; none where the gaps of the round below serve. */
function workEyelets(spec: EyeletsSpec, edge: Edge, setting: Setting): PartResult {
  const { gauge } = setting
  const around = setting.belowCm ?? edge.count * gauge.sc.width.cm
  const nothing = {
    height: times(gauge.sc.height, 0),
    circumference: { cm: around, plusMinusCm: (around * gauge.sc.width.plusMinusCm) / gauge.sc.width.cm },
  }
  if (!divides(edge.count, eyeletsAsks(spec))) return stopped(edge, nothing, refused(spec, edge.count))
  const eyelets = eyeletsOn(spec, edge.count)
  const casing = { eyelets, ...(spec.cords ? { cords: spec.cords } : {}) }
  const beads = spec.cords?.ends === 'beads' ? spec.cords.number + (spec.cords.opening ? 2 : 0) : 0
  const notions = beads > 0 ? { notions: [beads === 1 ? 'a bead' : `${beads} beads`] } : {}
  const { made: making, mindsSpaces } = makingOf(spec)
  const made = making?.(spec)
  if (!made) {
    return {
      rounds: [], edge, size: nothing, findings: gapsMissing(edge), casing, ...notions,
      advice: [`The ${eyelets} gaps between the groups below serve as eyelets: no round of its own.`],
    }
  }
  const over = edge.count - eyelets * wide(spec)
  const {
    rounds, edge: top, stop,
  } = workUp(edge, 1, setting, () => inStyle(setting, 0, made.kind, spec.colour, stepsFor(made, over, eyelets)))
  return {
    rounds, edge: top, casing, ...notions,
    findings: stop ? [stop] : eyeletFindings(over, mindsSpaces === true && placesOf(edge, 'space') > 0),
    size: { height: gauge[made.kind].height, circumference: times(gauge[made.kind].width, eyelets * wide(spec)) },
  }
}

/** A casing (craft 9). */
export const eyelets = kind({
  kind: 'eyelets', group: 'Mouth and edge', name: 'casing', fields, tools: ['threading'], sample: { on: 'fabric' },
  does: 'A round of eyelets for drawstrings, with the cords, how they are threaded, and how the mouth closes.',
  bringsAdjusting: true, begins: ({ yarn: { colour } }) => ({ cords: usualCords(colour) }),
  demand: spec => ({ asks: eyeletsAsks(spec), leaves: stitches => eyeletsGive(spec, stitches) }),
  main: spec => makingOf(spec).made?.(spec).kind ?? 'sc', work: workEyelets,
})
