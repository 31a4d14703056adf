import { times } from '../measure/length'
import { noFloor } from '../part/floor'
import type { PartResult, Setting, Size } from '../part/part'
import { foundationOf, withSides } from '../round/edge'
import type { BaseStitch } from './circle'
import { endMiddles, sideMarkers } from './ends'
import { ovalRounds } from './oval'
import { stadiumLayOut } from './stadium'

/** A bag without a floor, which folds along its foundation chain: one oval round, then straight up (handbook 5, boat). */
export interface BoatSpec {
  readonly form: 'boat'
  readonly stitch: BaseStitch
  /** Stitches in each end: 3 to 5, or 1 for no extra ones at all. */
  readonly perEnd: number
  readonly size: Size<{ readonly flatWidthCm: number }, { readonly sideStitches: number }>
  readonly colour: string
}

/** The side stitches with which a boat lies nearest to a wanted width: its edge, `2S + 2e` stitches, is twice the width. */
export function sideForBoat(flatWidthCm: number, perEnd: number, widthCm: number): number {
  return Math.max(1, Math.round(flatWidthCm / widthCm) - perEnd)
}

/** Works a boat's one round, around its foundation chain. */
export function boat(spec: BoatSpec, setting: Setting): PartResult {
  const stitch = setting.gauge[spec.stitch]
  const sideStitches = 'pin' in spec.size ? spec.size.pin.sideStitches : sideForBoat(spec.size.want.flatWidthCm, spec.perEnd, stitch.width.cm)
  const counts = { sideStitches, rounds: 1 }
  const { rounds, stretches, stop } = ovalRounds({ ...spec, form: 'oval', size: { pin: counts }, start: 'chain', placing: 'stacked', increaseAt: 'last' }, counts, spec.perEnd, setting)
  const edge = rounds[0]?.edge
  const circumference = times(stitch.width, 2 * sideStitches + 2 * spec.perEnd)
  const turning = Math.max(1, rounds[0]?.round.begin.chains ?? 0)
  return {
    rounds,
    edge: edge ? withSides(edge, endMiddles(stretches[0]!, edge, false)) : foundationOf([{ kind: 'chain', count: 1 }]),
    size: { height: stitch.height, circumference, floor: noFloor(times(circumference, 0.5)) },
    findings: stop ? [stop] : [{ code: 'boat-odd', weight: 'note', what: 'Without a floor the first rounds look odd, like a little boat: that is normal. It lies flat and folds along the chain.' }],
    start: { kind: 'foundation-chain', chains: sideStitches + 2 + turning, firstInto: turning + 1, beforeCm: (sideStitches + 2) * stitch.width.cm * (1 + 1 / 26) },
    layOut: stadiumLayOut((sideStitches * stitch.width.cm) / 2, stitch.height.cm, counts, stretches),
    markers: stretches.map(names => sideMarkers(names, false)),
    advice: ['From here straight up: nothing grows any more.'],
  }
}
