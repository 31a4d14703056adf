import { kind } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import { times } from '../../things/measure/length'
import type { Finding, Fix } from '../part/finding'
import type { Handle } from '../part/handle'
import { type PartResult, type Setting, stopped, workUp } from '../part/part'
import type { Edge } from '../../things/round/edge'
import type { Begin, Round } from '../../things/round/round'
import { each, type Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { asMarked, gripOf, offPlace, used } from './rim'
import { cornerRound, cornersOverChains, hasCorners, met, overChains, slotSteps, withFree } from './slotRounds'
import { SLOT_CM, slotFields, type Slots, slotsOn, type SlotsSpec } from './slotSpec'
import { CORNER_RUN, cornerRounds, slotsDemand, tooWide } from './slotDemand'
import { underInstead, widened } from './strapLength'
import { tenths } from '../field/context'
import { adviceFor, chainWords, noteFor, runsWords, tallies } from './slotWords'

function placeFindings(spec: SlotsSpec, { placing }: Slots): Finding[] {
  return offPlace(placing, spec, 'The slots', spec.number === 2)
}

function flops(spec: SlotsSpec, { hangs }: Slots): Finding[] {
  if (!hangs) return []
  if (spec.corners === 0) {
    return [
      {
        code: 'handles-flop', weight: 'watch',
        what:
          'Without decreases where handle and body meet, the handles fold over and flop. Draw them together at the corners '
          + 'in the next round or two.',
        fix: {
          label: 'Draw the corners together once',
          changes: [
            { path: ['corners'], value: 1 },
            { path: ['rounds'], value: Math.max(2, spec.rounds) },
          ],
        },
      },
    ]
  }
  return []
}

function handlesOf(spec: SlotsSpec, { placing, chains, hangs }: Slots, edge: Edge, setting: Setting): Handle[] {
  if (!hangs) return []
  const { width, height } = setting.gauge[spec.stitch]
  return used(edge, setting, placing, spec).map(({ face: { name, feet } }): Handle => ({
    name: spec.number === 2 ? `Handle, ${name}` : 'Handle', feet, lies: 'along', lengthCm: chains * width.cm,
    gapCm: placing.places * width.cm, widthCm: spec.rounds * height.cm, strands: spec.rounds, aboveCm: height.cm, colour: spec.colour,
    bears: { strands: 'rows' },
  }))
}

function inFrom(begin: Begin, along: number): Begin {
  return along > 0 ? { ...begin, along } : begin
}

/** A hand with its knuckles wants about so much room (from memory). */
const HAND_CM = 9

/** How wide a slot of a spec lies. */
export function slotCm(spec: SlotsSpec, { placing }: Slots, gauge: Setting['gauge']): number {
  return placing.places * gauge[spec.stitch].width.cm
}

function handHole(spec: SlotsSpec, found: Slots, { gauge }: Setting): Finding[] {
  const wideCm = slotCm(spec, found, gauge)
  if (found.hangs || wideCm >= HAND_CM) return []
  return [
    {
      code: 'hand-hole-small', weight: 'watch',
      what: `A hand hole ${tape(wideCm)} wide is narrow: a hand wants about ${tape(HAND_CM)} (a rule of thumb).`,
      fix: { label: `Slots ${tape(HAND_CM + 1)} wide`, changes: [{ path: ['width'], value: { want: { widthCm: HAND_CM + 1 } } }] },
    },
  ]
}

/** Works slots: the round that leaves them, and the rounds above it. */
export function workSlots(spec: SlotsSpec, below: Edge, setting: Setting): PartResult {
  const { edge, ...moved } = asMarked(below, setting, spec.sideAt)
  const { width, height } = setting.gauge[spec.stitch]
  const nothing = { height: times(height, 0), circumference: times(width, edge.count) }
  if (edge.free)
    return stopped(below, nothing, {
      code: 'slots-twice', weight: 'stop',
      what: 'The rim below has slots already, and these would be worked on its handles. Take one of the two out.',
    })
  const round = (i: number, steps: readonly Step[]): Round => inStyle(setting, i, spec.stitch, spec.colour, steps)
  const turnFirst = round(0, [each(spec.stitch, 1)]).begin.turn
  const found = slotsOn(spec, edge, setting, turnFirst)
  const turnsBack = round(1, [each(spec.stitch, 1)]).begin.turn
  const wide = tooWide(spec, found, edge.count, turnsBack)
  if (wide) return stopped(below, nothing, wide)
  const { along, before } = met(
    found.placing,
    used(edge, setting, found.placing, spec).map(({ first }) => first),
    edge,
    turnFirst,
  )
  const first = workUp(edge, 1, setting, () => {
    const plain = round(0, slotSteps(spec, found, before, edge.count))
    return { ...plain, begin: inFrom(plain.begin, along) }
  })
  if (first.stop) return stopped(below, nothing, first.stop)
  const open = withFree(first.edge, found.chains, found.placing.places)
  let short = false
  const [firstCorner, lastCorner] = cornerRounds(spec)
  const above = workUp(open, spec.rounds, { ...setting, index: setting.index + 1 }, (i, on) => {
    const { turn } = round(i + 1, [each(spec.stitch, 1)]).begin
    const drawing = i >= firstCorner && i <= lastCorner
    if (i === 0) {
      const draws = drawing && found.chains >= CORNER_RUN
      if (drawing && !draws) short = true
      return round(1, draws ? cornersOverChains(on, turn, spec) : overChains(on, turn, spec))
    }
    if (drawing && !hasCorners(on)) short = true
    return round(i + 1, drawing && hasCorners(on) ? cornerRound(on, turn, spec) : [each(spec.stitch, on.count)])
  })
  const rounds = [{ ...first.rounds[0]!, edge: open }, ...above.rounds]
  const wanting = lastCorner > spec.rounds - 1
  return {
    rounds, edge: above.edge, ...moved, size: { height: times(height, rounds.length), circumference: times(width, above.edge.count) },
    grip: gripOf(edge, setting, found.placing), handles: handlesOf(spec, found, edge, setting),
    notes: rounds.map((_, i) => noteFor(i, spec, rounds)), advice: adviceFor(found, along, before, edge.count),
    findings: above.stop
      ? [above.stop]
      : [
          {
            code: 'slot-runs', weight: 'note',
            what: `From the start of the round: ${runsWords(before, found.placing.places, edge.count)}. ${chainWords(found, spec)}`,
          },
          tallies(rounds, edge.count), ...placeFindings(spec, found), ...flops(spec, found), ...handHole(spec, found, setting),
          ...(short || wanting
            ? [
                {
                  code: 'corners-short', weight: 'watch' as const,
                  what: wanting
                    ? `Corners are drawn together in rounds above the one that works the chains: ${spec.corners} of them take at least `
                    + `${lastCorner + 1} rounds. There are ${spec.rounds}.`
                    : 'There are too few stitches left at the corners to draw together in every round that should.',
                },
              ]
            : []),
        ],
  }
}

/** Ways to make handles over slots bear more: more rounds above them, or a strap under the whole bag. */
export function strongerSlots({ colour }: SlotsSpec, strands: number | undefined): Fix[] {
  return [...widened('rounds', strands, rounds => `${rounds} rounds above the slots`), underInstead(colour)]
}

/** Slots (craft 10). */
export const slots = kind({
  kind: 'slots', group: 'Handles', name: 'slots',
  does: 'Openings with a chain over each: hand holes, or handles where the chain is longer than what it skips.',
  fields: slotFields('Width of a slot', 'chains'), tools: ['where-placed'],
  sample: { on: 'rim', spec: spec => ({ ...spec, chains: { want: { dropCm: 3.4 } }, width: { want: { widthCm: 3.6 } }, rounds: 2 }) },
  begins: ({ stitch, aroundCm }) => ({
    stitch, chains: { want: { dropCm: 12 } }, width: { want: { widthCm: Math.max(4, Math.min(12, tenths(aroundCm / 4, SLOT_CM))) } },
  }),
  demand: (spec, { gauge }) => slotsDemand(spec, gauge), main: spec => spec.stitch, work: workSlots, strengthen: strongerSlots,
})
