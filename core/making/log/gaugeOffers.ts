import type { DesignGauge } from '../../bag/design/design'
import type { Estimate } from './estimate'
import { type Skill, isPattern } from './skill'

/** A gauge that finished bags offer a new one. */
export interface GaugeOffer {
  readonly name: string
  readonly bags: number
  readonly gauge: DesignGauge
}

/** A count over ten centimetres, to a hundredth. */
function overTen(cm: number): number {
  return Math.round(1000 / cm) / 100
}

function percent({ nextHigh, value }: Estimate): number {
  return Math.round(1000 * (nextHigh / value - 1)) / 10
}

/** The gauges that finished bags offer: one for every hook and yarn of which a stitch's width and height are known. */
export function gaugeOffers({ tension, flat }: Skill): GaugeOffer[] {
  const setups = tension.filter(({ hookMm, strands, yarn }, i) =>
    tension.findIndex(other => other.hookMm === hookMm && other.strands === strands && other.yarn === yarn) === i)
  return setups.flatMap(({ hookMm, strands, yarn }): GaugeOffer[] => {
    const own = tension.filter(one => one.hookMm === hookMm && one.strands === strands && one.yarn === yarn && !isPattern(one.key))
    const known = own.filter(one => one.widthCm && one.heightCm)
    if (known.length === 0) return []
    const bags = Math.min(...known.map(one => Math.min(one.widthCm!.bags, one.heightCm!.bags)))
    const lies = flat.find(({ kind }) => known.some(one => one.kind === kind))
    const measured = Object.fromEntries(known.map(one => [
      one.kind, { stitches: overTen(one.widthCm!.value), rounds: overTen(one.heightCm!.value), overCm: 10 },
    ]))
    return [
      {
        name: `${yarn}, ${hookMm} mm${strands > 1 ? `, ${strands} strands` : ''}`, bags,
        gauge: {
          hookMm, strands, measured,
          learnt: {
            bags, widePercent: Math.max(0.1, ...known.map(one => percent(one.widthCm!))),
            tallPercent: Math.max(0.1, ...known.map(one => percent(one.heightCm!))),
            ...(lies ? { flatFrom: round2(lies.from), flatTo: round2(lies.to) } : {}),
          },
        },
      },
    ]
  })
}

function round2(value: number): number {
  return Math.round(100 * value) / 100
}
