import { asksOfBands, type FlatPiece, rowEndCm, workFlat } from '../flat/flat'
import { type FlatBand, plainBand, stackedOr } from '../flat/kinds'
import { intoRowEnd, rowEndWords, seamOf, TIGHT } from '../flat/seams'
import { sts } from '../handle/rim'
import { kind, type PartContext } from '../kind/kind'
import { plus, times } from '../../things/measure/length'
import { type Asks, type Demand, divides } from '../part/asks'
import type { Finding } from '../part/finding'
import { type PartResult, stopped, type WallSetting, workUp } from '../part/part'
import type { Piece } from '../part/piece'
import type { Repeat } from '../../things/repeat/repeat'
import { type Edge, foundation, foundationOf, withSides } from '../../things/round/edge'
import { each } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { many, tape } from '../../things/stitch/translate'
import { type PanelsSpec, fields } from './panelFields'

/*
 * A wall of flat pieces (craft 5, panels): front and back, and a panel at either side between them or none, each worked to and fro on its
 * share of the edge below, then seamed, and joined by one round about all of them.
 */

/** How an edge is shared out. */
interface Shares {
  readonly front: number
  readonly side: number
}

/** Bands of the side panels: those the maker stacked, or plain rows up to the front's height. */
function sideBandsOf({ sideBands, bands, colour }: PanelsSpec): readonly FlatBand[] {
  const { stitch = 'sc' } = bands.find(band => 'stitch' in band) as { readonly stitch?: 'sc' | 'hdc' | 'dc' } | undefined ?? {}
  return stackedOr(sideBands, stitch, colour)
}

/** Demand of front and sides on their first rows; where bands of one do not go together, what is in the way. */
function asksOfPanels(spec: PanelsSpec, repeats: readonly Repeat[]): { readonly front: Asks, readonly side: Asks } | string {
  const front = asksOfBands(spec.bands, repeats)
  const side = asksOfBands(sideBandsOf(spec), repeats)
  if ('trouble' in front) return front.trouble
  if ('trouble' in side) return `Of the side panels: ${side.trouble}`
  return { front: front.asks, side: side.asks }
}

/** Stitches of a side panel that are asked for; none where front and back meet in a seam. */
function sideAsked({ sides }: PanelsSpec, stitchCm: number): number {
  if (!sides) return 0
  return 'pin' in sides ? sides.pin.stitches : Math.max(2, Math.round(sides.want.widthCm / stitchCm))
}

/** Shares of an edge nearest to what is asked on which the rows of both sorts of panel come out. */
function sharesOf(spec: PanelsSpec, around: number, stitchCm: number, asks: { readonly front: Asks, readonly side: Asks }):
Shares | undefined {
  if (around % 2 === 1) return undefined
  const half = around / 2
  if (!spec.sides) return divides(half, asks.front) ? { front: half, side: 0 } : undefined
  const wanted = sideAsked(spec, stitchCm)
  for (let off = 0; off < half; off++) {
    for (const side of [wanted + off, wanted - off])
      if (side >= 2 && half - side >= 2 && divides(side, asks.side) && divides(half - side, asks.front)) return { side, front: half - side }
  }
  return undefined
}

/** Demand on the count below: that its panels can share it. Its yield, by working it on nothing. */
function demandOf(spec: PanelsSpec, { gauge, repeats }: PartContext): Demand | undefined {
  const asks = asksOfPanels(spec, repeats)
  if (typeof asks === 'string') return undefined
  const shares = (around: number) => sharesOf(spec, around, gauge.sc.width.cm, asks)
  return {
    asks: { multiple: 2, plus: 0, least: 4, takes: around => shares(around) !== undefined },
    leaves: (around) => {
      const found = shares(around)
      return found ? topOf(spec, found, { gauge, repeats, rounds: { style: 'joined', startingChainCounts: false }, index: 0, turns: 0 }) : 0
    },
  }
}

type Flat = Pick<WallSetting, 'gauge' | 'repeats' | 'rounds' | 'index' | 'turns'>

/** The panels as they are worked, the sides as tall as the front. */
function panelsOf(spec: PanelsSpec, { front, side }: Shares, setting: Flat): { readonly front: FlatPiece, readonly side?: FlatPiece } {
  const made = workFlat(spec.bands, foundation('stitch', front, false), setting, { below: 0 })
  if (side === 0) return { front: made }
  const beside = workFlat(sideBandsOf(spec), foundation('stitch', side, false), setting, { below: 0 }, { heightCm: made.height.cm })
  return { front: made, side: beside }
}

function topOf(spec: PanelsSpec, shares: Shares, setting: Flat): number {
  const { front, side } = panelsOf(spec, shares, setting)
  return 2 * (front.edge.count + (side?.edge.count ?? 0))
}

/** A panel as a piece, worked twice: on two places opposite each other. */
function panelPiece(id: 'front' | 'side', name: string, flat: FlatPiece, at: readonly string[], spec: PanelsSpec): Piece {
  return {
    id, name, times: 2, before: true, start: { kind: 'chain', chains: 0 }, rows: flat.rows, along: false, free: true,
    colour: flat.rows[0]?.round.colour ?? spec.colour, lengthCm: flat.height.cm, widthCm: flat.width.cm,
    lead: `Right side facing, join the yarn and work to and fro over ${at[0]} of the last round; the second one goes over ${at[1]}.`,
    advice: [], finish: [],
  }
}

/** How the edges of the panels are joined. */
function seaming(spec: PanelsSpec, { front, side }: ReturnType<typeof panelsOf>, setting: WallSetting): string {
  const into = (flat: FlatPiece) => rowEndWords(flat.rows.map(row => intoRowEnd(rowEndCm(row, setting), setting.gauge)))
  const edges = side ? 'the four edges where a side panel meets front or back' : 'the two edges where front and back meet'
  const beside
    = side && side.rows.length !== front.rows.length ? `; the side panels have ${many(side.rows.length, 'row end')} for them` : ''
  return `Lay the panels wrong sides together and close ${edges}: ${seamOf(spec.seam).by} ${into(front)}${beside}. ${TIGHT} `
    + 'Then one round about all of them, from the middle of a side.'
}

/** Panels that end at different heights pucker along their seams. */
function uneven({ front, side }: ReturnType<typeof panelsOf>): Finding[] {
  const off = side ? side.height.cm - front.height.cm : 0
  if (Math.abs(off) <= Math.max(0.5, 0.03 * front.height.cm)) return []
  return [
    {
      code: 'panels-uneven', weight: 'watch',
      what: `The side panels come to ${tape(side!.height.cm)}, front and back to ${tape(front.height.cm)}: ease one to the other along `
        + 'the seam, or change the height of a band.',
    },
  ]
}

function workPanels(spec: PanelsSpec, edge: Edge, setting: WallSetting): PartResult {
  const { gauge } = setting
  const stitchCm = gauge.sc.width.cm
  const nothing = { height: times(gauge.sc.height, 0), circumference: times(gauge.sc.width, edge.count) }
  const asks = asksOfPanels(spec, setting.repeats)
  if (typeof asks === 'string') return stopped(edge, nothing, { code: 'bands-disagree', weight: 'stop', what: asks })
  if (edge.free)
    return stopped(edge, nothing, {
      code: 'on-handles', weight: 'stop', what: 'Panels cannot stand on handles. Move them below the handles.',
    })
  const shares = sharesOf(spec, edge.count, stitchCm, asks)
  if (!shares)
    return stopped(edge, nothing, {
      code: 'panels-not-shared', weight: 'stop',
      what: `${edge.count} stitches cannot be shared out so that the rows of front, back and sides all come out. Change the base, add an `
        + 'adjusting round, or take other bands.',
    })
  const panels = panelsOf(spec, shares, setting)
  const { front, side } = panels
  const findings = [...front.findings, ...(side?.findings ?? [])]
  const stop = findings.find(({ weight }) => weight === 'stop')
  if (stop) return stopped(edge, nothing, stop)
  const total = 2 * (front.edge.count + (side?.edge.count ?? 0))
  const on = foundationOf([{ kind: 'stitch', count: total }])
  const { rounds, edge: top } = workUp(on, 1, { ...setting, turns: 0 }, () =>
    inStyle({ rounds: setting.rounds, turns: 0 }, 0, 'sc', spec.colour, [each('sc', total)]))
  const height = plus(front.height, gauge.sc.height)
  // From a side of the bag: half a side panel, the front, the other side panel, the back.
  const first = edge.sides[0] - Math.floor(shares.side / 2)
  const at = (place: number, count: number) => [place, place + edge.count / 2].map(one => sts(one, count, edge.count))
  const wide = front.edge.count / total
  return {
    rounds, edge: withSides(top, [0, total / 2]), size: { height, circumference: times(gauge.sc.width, total) },
    rises: [gauge.sc.height.cm],
    findings: [...findings, ...uneven(panels)], seam: seamOf(spec.seam).card,
    faces: { rows: front.rows, rises: front.rises, share: wide },
    pieces: [
      panelPiece('front', 'Front and back', front, at(first + shares.side, shares.front), spec),
      ...(side ? [panelPiece('side', 'Side panels', side, at(first, shares.side), spec)] : []),
    ],
    advice: [seaming(spec, panels, setting)],
  }
}

/** Panels (craft 5). */
export const panels = kind({
  kind: 'panels', group: 'Fabric', name: 'panels',
  does: 'Front, back and sides worked flat on the edge below, seamed, and joined by a round.',
  fields, shapes: true, sample: { on: 'itself', spec: spec => ({ ...spec, bands: [plainBand('sc', 8)] }) },
  begins: ({ stitch, yarn, size }) => ({ bands: [{ kind: 'solid', stitch, size, ...yarn } as FlatBand], colour: yarn.colour }),
  demand: demandOf, main: () => 'sc', work: workPanels,
})
