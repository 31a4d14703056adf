import { baseChoices, baseForms, beginBase, formOf } from '../../core/parts/base/base'
import { compareSchools } from '../../core/parts/base/increaseSchools'
import { neighbours, pinned, wanted } from '../../core/parts/base/sizing'
import { elevation } from '../../core/readers/chart/elevation'
import { frontOf } from '../../core/readers/chart/frontView'
import { handleFronts } from '../../core/readers/chart/handles'
import { planOf } from '../../core/readers/chart/plan'
import type { Design } from '../../core/bag/design/design'
import { applyFix } from '../../core/bag/design/edit'
import { stacked } from '../../core/bag/design/partIds'
import { keptOf } from '../../core/bag/design/stacking'
import { newDesign } from '../../core/bag/design/starter'
import { type Draft, draft } from '../../core/bag/draft/draft'
import { baseMeasured } from '../../core/bag/draft/replan/measuredBase'
import { answersTo, rowsOf, said, withinOf } from '../../core/parts/field/placedField'
import type { Fields } from '../../core/parts/field/field'
import { fit } from '../../core/bag/fit/fit'
import { fittingWords } from '../../core/bag/fit/fitWords'
import type { Change } from '../../core/parts/part/finding'
import { fromNothing } from '../../core/parts/part/part'
import { ROUND_STYLES } from '../../core/things/round/style'
import { firstRepeat } from '../../core/parts/band/own'
import { beginPart, kindOf, wallKinds, type WallSpec } from '../../core/parts/wall/wall'
import { patternOf } from '../../core/readers/words/pattern'
import { yarnNeeds } from '../../core/bag/yarn/yarn'

/*
 * What every answer to every question of every kind comes to, a line each, in the ways of going round by turns: kept to be compared, so
 * that a change of any of it is seen in the review. The figures are not checked by hand; the tests beside each kind do that.
 */

const figure = (n: number) => n.toFixed(2)
/** One figure for many: near each other for drawings that are near each other. */
const sum = (numbers: Iterable<number>) => figure([...numbers].reduce((all, n, i) => all + n * (1 + (i % 7) / 10), 0))
const numbersIn = (path: string) => [...path.matchAll(/-?\d+(?:\.\d+)?/g)].map(Number)

const all = (numbers: readonly number[]) => numbers.map(figure).join(' ')

function sizesIn({ sizes: { floor, height, mouth, litres, withHandles, loadedHeightCm = 0 } }: Draft): string {
  return all([
    floor.length.cm, floor.width.cm, height.cm, height.plusMinusCm, mouth.cm, mouth.plusMinusCm, litres, withHandles?.emptyCm ?? 0,
    withHandles?.loadedCm ?? 0, loadedHeightCm,
  ])
}

function hung({ parts }: Draft): string {
  return parts.flatMap(({ handles }) => handles)
    .map(({ feet, lengthCm, gapCm, widthCm, strands, aboveCm }) => all([...feet, lengthCm, gapCm, widthCm, strands, aboveCm])).join(', ')
}

function worn({ parts }: Draft): string {
  return parts.flatMap(({ pieces }) => pieces)
    .map(({ rows, lengthCm, widthCm, start }) => [...rows.map(({ edge }) => edge.count), all([lengthCm, widthCm]), start.chains].join(' '))
    .join(', ')
}

function drawn(drafted: Draft): string {
  const { headX, footY, headY } = planOf(drafted)
  const fronts = elevation(drafted).map(course => Object.values(frontOf(course)).join(' ')).join(' ')
  const handles = handleFronts(drafted, 'loaded').map(({ path }) => path).join(' ')
  return [sum(headX), sum(footY), sum(headY), sum(numbersIn(fronts)), sum(numbersIn(handles))].join(' ')
}

function said160(drafted: Draft): string {
  const words = patternOf(drafted, 'us').sections.flatMap(({ lines, lead = '', advice = [], finish = [] }) =>
    [lead, ...advice, ...lines.map(line => line.words), ...finish]).join(' ')
  return `${words.length}: ${words.slice(0, 160)}`
}

function figures(drafted: Draft): string {
  const { parts, findings, rounds, start } = drafted
  return [
    `counts ${rounds.map(({ worked }) => worked.edge.count).join(' ')}`, `size ${sizesIn(drafted)}`,
    `start ${start.kind} ${start.chains} ${start.firstInto ?? '-'} ${figure(start.beforeCm ?? 0)}`,
    `found ${findings.map(({ code, what }) => `${code}(${what.length})`).join(' ')}`, `handles ${hung(drafted)}`, `pieces ${worn(drafted)}`,
    `yarn ${yarnNeeds(drafted).map(({ metres, ends }) => `${figure(metres)} ${ends}`).join(' ')}`, `drawn ${drawn(drafted)}`,
    `sides ${parts.map(({ edge, sidesMoved }) => `${edge.sides.join('/')}${sidesMoved ? `>${figure(sidesMoved)}` : ''}`).join(' ')}`,
    `words ${said160(drafted)}`,
  ].join('; ')
}

/** Each answer to each question of a spec, those within others too. */
function answers(
  fields: Fields,
  spec: object,
  drafted: Draft,
  part: string,
  at: readonly (string | number)[] = [],
): { label: string, changes: readonly Change[] }[] {
  const found = drafted.parts.find(({ id }) => id === part)
  const now = { gauge: drafted.gauge, ...(found ? { part: found } : {}) }
  return rowsOf(fields, spec, at)
    .flat()
    .flatMap((put) => {
      const within = withinOf(put)
      const own = answersTo(put, spec, now)
        .filter(({ chosen }) => !chosen)
        .map(({ name, changes }) => ({ label: `${said(put.field.label, spec, now)}: ${name}`, changes }))
      const bounded
        = 'usually' in put.field && put.field.usually
          ? [{ label: said(put.field.label, spec, now), changes: [{ path: put.path, value: put.field.usually.most }] }]
          : []
      return [...own, ...bounded, ...(within ? answers(within.fields, spec, drafted, part, within.at) : [])]
    })
}

const placed = (at: readonly string[], changes: readonly Change[]) => changes.map(change => ({ ...change, path: [...at, ...change.path] }))
const like = { stitch: 'sc', colour: 'main', lengthCm: 16, widthCm: 9, heightCm: 12 } as const
const bag: Design = {
  ...newDesign('Every'), gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } },
  repeats: [firstRepeat('own-1')], contents: { kind: 'bottle', acrossCm: 8, heightCm: 30, weightKg: 2 },
}
const styled = (design: Design, i: number): Design => ({
  ...design,
  rounds: { style: ROUND_STYLES[i % 3]!, startingChainCounts: i % 2 === 1 },
})

function learnt(measured: Design): string {
  const { width, height } = draft(measured).gauge.sc
  return all([width.cm * 10, height.cm * 10, width.plusMinusCm * 100])
}

function baseLines(form: string): string[] {
  const start: Design = { ...bag, base: beginBase(form, like), wall: [] }
  const drafted = draft(start)
  const all = [
    { label: 'as it begins', changes: [] as readonly Change[] },
    ...answers(formOf(start.base).fields, start.base, drafted, 'base'),
  ]
  return all.map(({ label, changes }, i) => {
    const { design } = applyFix(styled(start, i), { label, changes: placed(['base'], changes) })
    const worked = draft(design)
    const setting = fromNothing(worked.gauge, design.rounds, design.repeats)
    const [base] = worked.parts
    const measured = applyFix(
      design,
      baseMeasured(design, { lengthCm: worked.sizes.floor.length.cm + 1, widthCm: worked.sizes.floor.width.cm + 0.5 }),
    ).design
    const more = [
      JSON.stringify(pinned(design.base, setting, base!)), JSON.stringify(wanted(design.base, setting, base!)),
      baseChoices(design.base, setting, 1.5)
        .map(({ stitches, errorCm, off }) => `${stitches} ${figure(errorCm)} ${off.map(({ cm }) => figure(cm)).join(' ')}`)
        .join(', '),
      neighbours(design.base, setting)
        .map(near => near.worked.edge.count)
        .join(' '),
      compareSchools(design.base, worked.gauge)
        .map(({ increases, flatness, inUse }) => `${increases} ${figure(flatness.ratio)}${inUse ? '*' : ''}`)
        .join(' '),
      `measured ${learnt(measured)}`,
    ]
    return `${form}, ${label}: ${figures(worked)}; ${more.join('; ')}`
  })
}

function partLines(band: string): string[] {
  const plain: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 5 } }, colour: 'main' }
  const start: Design = { ...bag, base: beginBase('oval', like), wall: stacked([plain, beginPart(band, keptOf(bag, plain, 46)), plain]) }
  const drafted = draft(start)
  const spec = start.wall[1]!
  const nudged
    = 'nudge' in spec
      ? [
          { label: 'moved', changes: [{ path: ['nudge'], value: 3 }] },
          { label: 'marked', changes: [{ path: ['sideAt'], value: 7 }] },
        ]
      : []
  const all = [
    { label: 'as it begins', changes: [] as readonly Change[] }, ...answers(kindOf(spec).fields, spec, drafted, spec.id), ...nudged,
  ]
  return all.map(({ label, changes }, i) => {
    const { design } = applyFix(styled(start, i), { label, changes: placed(['wall', spec.id], changes) })
    const worked = draft(design)
    const stuck = worked.findings.some(({ weight }) => weight === 'stop')
    const found = stuck ? fit(design, worked.gauge, { toleranceCm: 2, mostAdjusting: 1 }) : undefined
    const mended = found?.found[0]
    const again = mended
      ? `; fitted ${fittingWords(mended, design)}; ${figures(draft({ ...design, base: mended.base, wall: mended.wall }))}`
      : ''
    return `${band}, ${label}: ${figures(worked)}${found ? `; weighed ${found.weighed}` : ''}${again}`
  })
}

/** Every answer of every form of base and every kind of part, a line each. */
export function everyAnswer(): string {
  return [...baseForms().flatMap(({ form }) => baseLines(form)), ...wallKinds().flatMap(({ kind: band }) => partLines(band)), ''].join('\n')
}
