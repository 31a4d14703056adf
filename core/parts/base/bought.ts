import { between, choice, count, length } from '../field/questions'
import { DIAMETER_CM } from '../field/bounds'
import { tape } from '../../things/stitch/translate'
import { exactly, times } from '../../things/measure/length'
import type { Finding } from '../part/finding'
import { type Floor, perimeterCm } from '../part/floor'
import type { PartResult, Setting } from '../part/part'
import { stopped } from '../part/part'
import { foundation, halves, withSides } from '../../things/round/edge'
import { inMultiples } from '../../things/round/multiples'
import { allAt } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import { form, type FormSpec, sizesLike } from './form'
import { onStadium } from './stadium'
import { FAR, NEAR, SIDE_ONE, SIDE_TWO } from './ends'

const fields = {
  shape: choice(
    'Its shape',
    [
      { value: 'oblong', name: 'oblong' },
      { value: 'round', name: 'round' },
    ],
    { begins: 'oblong' },
  ),
  lengthCm: length('Its length', DIAMETER_CM, { usually: between(5, 40) }),
  widthCm: length('Its width', DIAMETER_CM, { usually: between(5, 40) }),
  holes: count('Holes', between(4, 400), { usually: between(4, 120) }),
  perHole: count('Stitches in each hole', between(1, 6), { begins: 2, usually: between(1, 3) }),
  doubledHoles: count('Holes at the corners, doubled', between(0, 100), {
    begins: 8, usually: between(0, 40), says: 'Holes at the rounded corners of an oblong floor that take twice as many, in all.',
  }),
} as const

/** A stiff floor of leather or board with punched holes, worked into (craft 5, bought base). */
export type BoughtSpec = FormSpec<'bought', typeof fields>

/** Stitches in each hole, in order: holes at the four corners take twice as many. */
export function holeMultiples(spec: BoughtSpec): number[] {
  const multiples = Array<number>(spec.holes).fill(spec.perHole)
  if (spec.shape === 'round') return multiples
  const each = Math.floor(spec.doubledHoles / 4)
  // What four corners do not share evenly goes to the first ones.
  const order = [0.125, 0.375, 0.625, 0.875].flatMap((share, corner) =>
    Array.from({ length: each + (corner < spec.doubledHoles % 4 ? 1 : 0) }, (_, i) => Math.floor(share * spec.holes + i - each / 2)),
  )
  for (const hole of order) multiples[((hole % spec.holes) + spec.holes) % spec.holes] = 2 * spec.perHole
  return multiples
}

/** Too little edge puckers the wall over a stiff floor, too much ripples it: within a tenth makes no odds (from memory). */
const GIVE = 0.1

function fullness(edgeCm: number, floor: Floor): Finding[] {
  const ratio = edgeCm / perimeterCm(floor)
  if (Math.abs(ratio - 1) <= GIVE) return []
  const what
    = ratio < 1
      ? `The stitches make ${tape(edgeCm)} of edge, the floor has ${tape(perimeterCm(floor))}: the wall will pull in over it. Work `
      + 'more stitches in each hole.'
      : `The stitches make ${tape(edgeCm)} of edge, the floor has only ${tape(perimeterCm(floor))}: the wall will stand fuller than `
        + 'the floor. Work fewer stitches in each hole.'
  return [{ code: ratio < 1 ? 'bought-tight' : 'bought-full', weight: 'watch', what: `${what} (Within a tenth is fine: a rule of thumb.)` }]
}

/** Works the first round into a bought floor's holes. */
function workBought(spec: BoughtSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const multiples = holeMultiples(spec)
  const widthCm = spec.shape === 'round' ? spec.lengthCm : Math.min(spec.widthCm, spec.lengthCm)
  const floor: Floor = { shape: spec.shape === 'round' ? 'disc' : 'stadium', length: exactly(spec.lengthCm), width: exactly(widthCm) }
  const steps = allAt('holes', inMultiples(multiples, spec.stitch))
  const result = work(inStyle(setting, 0, spec.stitch, spec.colour, steps), foundation('hole', spec.holes))
  const circumference = times(
    stitch.width,
    multiples.reduce((sum, n) => sum + n, 0),
  )
  const size = { height: stitch.height, circumference, floor }
  if (!result.ok)
    return stopped(foundation('hole', spec.holes), size, {
      code: result.error.code, weight: 'stop', what: 'The holes of this floor cannot be worked.',
    })
  const { edge } = result.worked
  const half = (floor.length.cm - floor.width.cm) / 2
  return {
    rounds: [result.worked], edge: withSides(edge, halves(edge.count)), size, findings: fullness(circumference.cm, floor),
    start: { kind: 'bought', chains: spec.holes },
    layOut: (round, station) =>
      onRim(half, floor.width.cm / 2 - (round < 0 ? 0.4 : 0), (station + 0.5) / (round < 0 ? spec.holes : edge.count)),
    markers: [[0, Math.floor(edge.count / 2)]],
    notions: ['a ready-made floor with holes'],
    advice: ['Start at the middle of a short side, so that the start of the rounds lies at the bag\'s side.'],
  }
}

/** A share of the way round a stadium's rim, from the middle of its near end. */
function onRim(half: number, out: number, share: number) {
  const end = Math.PI * out
  const whole = 4 * half + 2 * end
  const along = share * whole
  if (along < end / 2) return onStadium(NEAR, 0.5 + along / end, half, out)
  if (along < end / 2 + 2 * half) return onStadium(SIDE_ONE, (along - end / 2) / (2 * half), half, out)
  if (along < 1.5 * end + 2 * half) return onStadium(FAR, (along - end / 2 - 2 * half) / end, half, out)
  if (along < 1.5 * end + 4 * half) return onStadium(SIDE_TWO, (along - 1.5 * end - 2 * half) / (2 * half), half, out)
  return onStadium(NEAR, (along - 1.5 * end - 4 * half) / end, half, out)
}

/** A bought floor (craft 5). */
export const bought = form({
  form: 'bought', name: 'bought floor', does: 'A stiff floor with punched holes; the first round goes into the holes.', fields,
  begins: (like) => {
    const { longerCm, widthCm } = sizesLike(like)
    return { holes: Math.max(12, Math.round((2 * longerCm + widthCm) * 1.2)), lengthCm: longerCm, widthCm }
  },
  work: workBought, choices: (spec, setting) => [{ base: spec, stitches: workBought(spec, setting).edge.count, off: [], errorCm: 0 }],
})
