import type { Fields } from '../field/field'
import { IN_ROUNDS } from '../kind/inRounds'
import { type Declared, type Keeps, kind, type PartSpec } from '../kind/kind'
import type { Finding } from '../part/finding'
import type { PartResult, WallSetting } from '../part/part'
import type { Gauge } from '../../things/gauge/gauge'
import { type Edge, PLACE_CODE, placesOf } from '../../things/round/edge'
import { liesOver } from '../../things/round/freeRuns'
import type { WorkedRound } from '../../things/round/workedRound'
import { STITCH_KINDS } from '../../things/stitch/dictionary'
import { demandOfTexture, type Texture } from '../texture/texture'
import { workTexture } from '../texture/workTexture'

/*
 * Edgings above a casing, or on any mouth (craft 9): declarations like the textures of a wall, but of so many rounds.
 */

/** An edging: its texture, how many rounds it has, and what steps do not say. */
export interface Edging {
  readonly texture: Texture
  readonly rounds: number
  readonly advice: readonly string[]
}

/** An edging of one round, over and over the same. */
export function oneRound(texture: Texture, ...advice: readonly string[]): Edging {
  return { texture, rounds: 1, advice }
}

/** The spec of an edging. */
type EdgingSpec<B extends string, F> = PartSpec<B, F & typeof IN_ROUNDS> & { readonly colour: string }

interface EdgingKind<B extends string, F extends Fields> {
  readonly kind: B
  readonly name: string
  readonly does: string
  readonly title?: () => string
  readonly fields: F
  begins?(keeps: Keeps): Partial<EdgingSpec<B, F>>
  /** Its steps, on an edge with spaces or without. */
  edging(spec: EdgingSpec<B, F>, onSpaces: boolean): Edging
}

/** Declares an edging. */
export function edged<const B extends string, const F extends Fields>({
  edging, begins, ...named
}: EdgingKind<B, F>): Declared<B, F & typeof IN_ROUNDS> {
  return kind<B, F & typeof IN_ROUNDS>({
    ...named, fields: { ...named.fields, ...IN_ROUNDS }, group: 'Mouth and edge', shapes: true, sample: { on: 'fabric' },
    begins: begins ?? (() => ({})),
    demand: (spec: EdgingSpec<B, F>) => demandOfTexture(edging(spec, true).texture),
    main: (spec: EdgingSpec<B, F>) => edging(spec, true).texture.main,
    work: (spec: EdgingSpec<B, F>, edge, setting) => workEdging(edging(spec, placesOf(edge, 'space') > 0), spec.colour, edge, setting),
  })
}

/** How long an edging's last round is where its stitches stand side by side; points of chain lengthen nothing. */
function lengthOf({ edge, stitches }: WorkedRound, gauge: Gauge): number {
  let cm = 0
  for (let made = 0; made < edge.count; made++)
    if (edge.kinds[made] === PLACE_CODE.stitch) cm += gauge[STITCH_KINDS[stitches[made]!]!].width.cm
  return cm
}

/**
 * How full an edging is: as long as it is to what it stands on, by the same ratio as a floor's flatness (craft 5 and 9). What has fewer
 * stitches is held open by those that it passes over.
 */
function fullness(ratio: number): Finding {
  const does = ratio <= 1.07 ? 'lies flat' : ratio <= 1.3 ? 'waves gently' : 'ruffles'
  return {
    code: 'edging-fullness', weight: 'note',
    what: `Its stitches side by side are ${ratio.toFixed(2)} times as long as what they stand on: it ${does} (flat within `
      + '7 %: a rule of thumb).',
  }
}

function workEdging({ texture, rounds, advice }: Edging, colour: string, edge: Edge, setting: WallSetting): PartResult {
  const result = { ...workTexture(texture, { colour, size: { pin: { rounds } } }, edge, setting), advice, trims: true as const }
  const top = result.rounds.at(-1)
  if (!top || result.findings.some(({ weight }) => weight === 'stop')) return result
  // Handles worked in the round are no part of how wide the bag lies, but an edging goes along them too.
  const belowCm = setting.belowCm === undefined ? edge.count * setting.gauge.sc.width.cm : (setting.belowCm * edge.count) / liesOver(edge)
  return { ...result, findings: [...result.findings, fullness(lengthOf(top, setting.gauge) / belowCm)] }
}
