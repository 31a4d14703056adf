import { readFileSync } from 'node:fs'
import { knowEveryKind } from '../core/bag/design/everyKind'
import { stacked } from '../core/bag/design/partIds'
import { compareSchools } from '../core/parts/base/increaseSchools'
import { neighbours } from '../core/parts/base/sizing'
import { elevation } from '../core/readers/chart/elevation'
import { frontOf } from '../core/readers/chart/frontView'
import { handleFronts } from '../core/readers/chart/handles'
import { planOf } from '../core/readers/chart/plan'
import { unrolled } from '../core/readers/chart/unrolled'
import type { Design, WallPart } from '../core/bag/design/design'
import { readDesign } from '../core/bag/design/read'
import { newDesign } from '../core/bag/design/starter'
import { draft } from '../core/bag/draft/draft'
import { fit } from '../core/bag/fit/fit'
import { metresWanted } from '../core/bag/fit/yarnDemand'
import { gaugeOf } from '../core/things/gauge/gauge'
import { patternOf } from '../core/readers/words/pattern'
import { paperOf } from './paper'

/** A bag of about ten thousand stitches. */
knowEveryKind()
const starter = newDesign('Bench bag')
const big: Design = {
  ...starter, gauge: { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } },
  base: { ...starter.base, increases: 6, size: { pin: { rounds: 30 } } },
  wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 40 } }, colour: 'main' }]),
}

/** The middle of many timings, in milliseconds, after a warm-up. */
function median(run: () => unknown, turns = 300): number {
  for (let i = 0; i < turns; i++) run()
  const timings = Array.from({ length: turns }, () => {
    const from = performance.now()
    run()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return timings[Math.floor(turns / 2)]!
}

const drafted = draft(big)
const counts = drafted.rounds.map(({ worked }) => worked.edge.count)
let sink = 0

/** The least that any program could do: look at every stitch once. */
function bareLoop(): number {
  let sum = 0
  for (const { worked } of drafted.rounds) for (let i = 0; i < worked.stitches.length; i++) sum += worked.stitches[i]!
  return sum
}

const bare = median(() => (sink += bareLoop()))
const redraft = median(() => (sink += draft(big).sizes.stitches))
const written = median(() => {
  sink += patternOf(drafted, 'us').sections.length + planOf(drafted).kinds.length + unrolled(drafted).kinds.length
}, 60)

function line(name: string, ms: number, goalMs: number): void {
  console.log(
    `${name.padEnd(24)} ${ms.toFixed(3).padStart(8)} ms   ${(ms / bare).toFixed(0).padStart(6)} x the bare loop   goal ${goalMs} ms  `
    + `${ms <= goalMs ? 'met' : 'MISSED'}`,
  )
}

/** An oval floor of about five thousand stitches, with nothing above it. */
const ovalFloor: Design = {
  ...big, wall: [], turnUp: 'plain',
  base: {
    form: 'oval', stitch: 'sc', perEnd: 3, size: { pin: { sideStitches: 40, rounds: 32 } }, start: 'chain', placing: 'stacked',
    increaseAt: 'last', colour: 'main',
  },
}
const ovalDraft = draft(ovalFloor)
const redraftOval = median(() => (sink += draft(ovalFloor).sizes.stitches), 100)
const schools = median(() => (sink += compareSchools(ovalFloor.base, ovalDraft.gauge).length), 100)
const choices = median(
  () => (sink += neighbours(ovalFloor.base, { gauge: ovalDraft.gauge, rounds: ovalFloor.rounds, index: 0, turns: 0 }).length),
  60,
)

/** A real tote: oval base, four bands, a casing over four above them; what lies below a change in the top band is not worked again. */
const tote: Design = {
  ...big,
  base: {
    form: 'oval', stitch: 'sc', perEnd: 'by-gauge', size: { want: { lengthCm: 32, widthCm: 14 } }, start: 'chain', placing: 'stacked',
    increaseAt: 'last', colour: 'main',
  },
  wall: stacked([
    { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 12 } }, colour: 'main' },
    { kind: 'groups', size: { pin: { rounds: 6 } }, colour: 'main' }, { kind: 'waves', size: { pin: { rounds: 8 } }, colour: 'main' },
    { kind: 'vees', size: { pin: { rounds: 6 } }, colour: 'main' },
  ]),
  mouth: { divides: 4 },
}
const tall: Design = {
  ...big,
  wall: [...big.wall, { id: 'part-9', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 3 } }, colour: 'main' }],
}
const tallDraft = draft(tall)
const taller: Design = {
  ...tall,
  wall: [tall.wall[0]!, { id: 'part-9', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 4 } }, colour: 'main' }],
}
const fromNothing = median(() => (sink += draft(taller).sizes.stitches), 100)
const fromBefore = median(() => (sink += draft(taller, { before: tallDraft }).sizes.stitches), 100)
const reused = draft(taller, { before: tallDraft }).parts.filter((part, i) => part === tallDraft.parts[i]).length

/** In a fine cotton, where counts lie close: nine centimetres either way, and up to two adjusting rounds. */
const fine = gaugeOf({ hookMm: 2, strands: 1, measured: { sc: { stitches: 32, rounds: 34, overCm: 10 } } })
const wish = { toleranceCm: 9, mostAdjusting: 2 }
const fitted = fit(tote, fine, wish)
/** The least that a search could do: go through as many combinations and add up their costs. */
const enumerated = median(() => {
  let least = Infinity
  for (let i = 0; i < fitted.weighed; i++) {
    const cost = (i % 89) * 0.1 + (i % 97) * 0.2
    if (cost < least) least = cost
  }
  sink += least
}, 20)
const fitting = median(() => (sink += fit(tote, fine, wish).weighed), 10)
/** The same with a yarn that half of the combinations want too much of, and the second band taking what is left. */
const fineTote: Design = { ...tote, gauge: { hookMm: 2, strands: 1, measured: { sc: { stitches: 32, rounds: 34, overCm: 10 } } } }
const [middle] = fit(fineTote, fine, { toleranceCm: 1, mostAdjusting: 2 }).found
const metres = metresWanted(draft({ ...fineTote, base: middle!.base, wall: middle!.wall }), 'main')
const short = { yarn: 'main', metres, part: fineTote.wall[1]!.id }
const fittedShort = fit(fineTote, fine, { ...wish, yarn: short })
const fittingShort = median(() => (sink += fit(fineTote, fine, { ...wish, yarn: short }).weighed), 5)

/** A net of 60 loops in 100 rounds. */
const net: Design = {
  ...big, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 120 } }, colour: 'main' }, turnUp: 'plain',
  wall: stacked([
    {
      kind: 'loops', skip: 1, first: 3, hold: { pin: { chains: 7 } }, last: { pin: { chains: 5 } }, size: { pin: { rounds: 100 } },
      ends: 'closed', finish: { inLoop: 2, inStitch: 1 }, colour: 'main',
    },
  ]),
}
const netDraft = draft(net)
const redraftNet = median(() => (sink += draft(net).sizes.stitches), 100)
const wordsOfNet = median(() => (sink += patternOf(netDraft, 'us').sections.length), 60)
const chartOfNet = median(() => (sink += unrolled(netDraft).kinds.length), 60)

/** A slot dragged by a stitch on the big bag: what is below is taken over, slots and rim are worked anew, the front is drawn afresh. */
const rim: WallPart = { id: 'part-11', kind: 'rim', rim: 'slip', colour: 'main' }
const slots = stacked([
  {
    kind: 'slots', number: 2, width: { want: { widthCm: 12 } }, chains: { want: { dropCm: 14 } }, into: 'chains', corners: 2, rounds: 5,
    stitch: 'sc', nudge: 0, colour: 'main',
  },
])[0]!
const handled = (nudge: number): Design => ({ ...big, wall: [...big.wall, { ...slots, id: 'part-10', nudge } as WallPart, rim] })
const handledDraft = draft(handled(0))
const dragged = handled(1)
const drag = median(() => {
  const moved = draft(dragged, { before: handledDraft })
  sink += elevation(moved).map(course => frontOf(course)).length + handleFronts(moved, 'held').length
}, 60)

console.log(
  `${counts.reduce((a, b) => a + b, 0).toLocaleString('en')} stitches in ${counts.length} rounds; `
  + `bare loop ${(bare * 1000).toFixed(1)} µs`,
)
line('redraft', redraft, 2)
line('words and chart', written, 20)
line(`oval floor, ${ovalDraft.sizes.stitches} sts`, redraftOval, 16)
line('schools compared', schools, 16)
line('sizes on either side', choices, 16)
line('change in the top band', fromBefore, 2)
console.log(`  ${reused} of ${tallDraft.parts.length} parts taken over; ${(fromBefore / fromNothing).toFixed(2)} of the time from nothing`)
line('a slot dragged', drag, 16)
line('fit', fitting, 200)
line('fit, a yarn short', fittingShort, 250)
console.log(
  `${''.padEnd(24)} ${fittedShort.weighed} combinations, ${fittedShort.tooMuchYarn} of them beyond the yarn; `
  + `${(fittingShort / fitting).toFixed(1)} x the fit without`,
)
console.log(
  `  ${fitted.weighed.toLocaleString('en')} combinations weighed (goal: at least `
  + `100,000${fitted.weighed >= 100_000 ? ', met' : ', MISSED'}); ${(fitting / enumerated).toFixed(1)} x the bare enumeration`,
)
line('net, redraft', redraftNet, 16)
line('net, words', wordsOfNet, 16)
line('net, chart', chartOfNet, 16)
const sack = readDesign(JSON.parse(readFileSync('demo/root-sack.json', 'utf8')))
if (!sack.ok) throw new Error('the root sack cannot be read')
const paper = await paperOf(sack.document)
line(`on paper, ${paper.pages} pages`, paper.ms, 1000)
if (sink === 0) console.log('nothing was measured')
