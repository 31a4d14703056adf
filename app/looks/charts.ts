/*
 * The look of every chart of the logbook, and what each draws. Options for Apache ECharts, in the colours of the page.
 */

/** The colours of the page, read where it is shown. */
export interface Inks {
  readonly ink: string
  readonly soft: string
  readonly line: string
  readonly accent: string
  readonly other: string
  readonly third: string
  readonly paper: string
  readonly font: string
}

/** A chart's options, loose as ECharts takes them. */
export type ChartOption = Readonly<Record<string, unknown>>

function base({ ink, soft, line, font }: Inks): ChartOption {
  return {
    animation: false, textStyle: { fontFamily: font, color: ink, fontSize: 12 }, aria: { enabled: true },
    grid: { left: 8, right: 18, top: 34, bottom: 8, containLabel: true }, tooltip: { trigger: 'item', textStyle: { fontFamily: font } },
    legend: { top: 0, left: 0, textStyle: { color: soft }, itemHeight: 9, itemWidth: 18 },
    axis: {
      axisLine: { lineStyle: { color: line } }, axisLabel: { color: soft }, splitLine: { lineStyle: { color: line, type: 'dotted' } },
    },
  }
}

function axis(inks: Inks, more: ChartOption): ChartOption {
  return { ...(base(inks).axis as ChartOption), ...more, nameTextStyle: { color: inks.soft } }
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

/** Rounds over time: work climbs, what was ripped back falls, the days between are flat. */
export function roundsChart(inks: Inks, points: readonly { readonly at: number, readonly round: number }[], planned: number): ChartOption {
  return {
    ...base(inks), legend: undefined, grid: { left: 8, right: 18, top: 20, bottom: 8, containLabel: true },
    xAxis: axis(inks, { type: 'time', axisLabel: { color: inks.soft, formatter: (at: number) => DAY.format(at), hideOverlap: true } }),
    yAxis: axis(inks, { type: 'value', max: Math.max(planned, ...points.map(({ round }) => round)), minInterval: 1 }),
    tooltip: { trigger: 'axis' },
    series: [
      {
        name: 'Rounds done', type: 'line', step: 'end', symbol: 'none', lineStyle: { color: inks.accent, width: 2 },
        areaStyle: { color: inks.accent, opacity: 0.08 }, data: points.map(({ at, round }) => [at, round]),
        markLine: {
          silent: true, symbol: 'none', label: { formatter: `${planned} planned`, color: inks.soft, position: 'insideStartTop' },
          lineStyle: { color: inks.soft, type: 'dashed' }, data: [{ yAxis: planned }],
        },
      },
    ],
  }
}

/** A size said with its band, and the tape's, each as its share of what was said. */
interface SizeBar {
  readonly name: string
  readonly saidCm: number
  readonly plusMinusCm: number
  readonly cm: number
}

const percent = (share: number) => Math.round(1000 * (share - 1)) / 10

/** Measured sizes, in per cent beside those predicted; the bar is the range. */
export function sizesChart(inks: Inks, sizes: readonly SizeBar[]): ChartOption {
  const names = sizes.map(({ name }) => name)
  const band = sizes.map(({ saidCm, plusMinusCm }) => (100 * plusMinusCm) / saidCm)
  return {
    ...base(inks),
    yAxis: axis(inks, { type: 'category', data: names, inverse: true, axisLabel: { color: inks.ink, width: 170, overflow: 'truncate' } }),
    xAxis: axis(inks, { type: 'value', axisLabel: { color: inks.soft, formatter: '{value} %', hideOverlap: true } }),
    series: [
      {
        name: 'Said, with its band', type: 'custom', itemStyle: { color: inks.other }, renderItem: bandItem(inks.other),
        encode: { x: [1, 2], y: 0 }, data: band.map((share, i) => [i, -share, share]),
      },
      {
        name: 'The tape', type: 'scatter', symbol: 'diamond', symbolSize: 11,
        itemStyle: { color: inks.accent, borderColor: inks.paper, borderWidth: 1 },
        data: sizes.map(({ saidCm, cm }, i) => [percent(cm / saidCm), i]),
      },
    ],
  }
}

interface Api {
  readonly value: (dimension: number) => number
  readonly coord: (at: readonly number[]) => readonly number[]
}

/** A band on a row, as a thick bar with rounded ends. */
function bandItem(colour: string) {
  return (_: unknown, api: Api) => {
    const [from, to] = [api.coord([api.value(1), api.value(0)]), api.coord([api.value(2), api.value(0)])]
    return {
      type: 'rect', shape: { x: from[0], y: from[1]! - 6, width: to[0]! - from[0]!, height: 12, r: 5 },
      style: { fill: colour, opacity: 0.55 },
    }
  }
}

/** Seconds of a stitch or pattern: the craft's, and the maker's. */
interface PaceBar {
  readonly name: string
  readonly craft: number
  readonly own: number
}

/** Seconds a stitch, by stitch and pattern: the craft's, and yours. */
export function paceChart(inks: Inks, paces: readonly PaceBar[]): ChartOption {
  return {
    ...base(inks),
    xAxis: axis(inks, { type: 'category', data: paces.map(({ name }) => name), axisLabel: { color: inks.ink, interval: 0 } }),
    yAxis: axis(inks, { type: 'value', axisLabel: { color: inks.soft, formatter: '{value} s' } }),
    series: [
      {
        name: 'The craft', type: 'bar', barGap: '10%', itemStyle: { color: inks.paper, borderColor: inks.soft, borderType: 'dashed' },
        data: paces.map(({ craft }) => round1(craft)),
      },
      { name: 'You', type: 'bar', itemStyle: { color: inks.accent }, data: paces.map(({ own }) => round1(own)) },
    ],
  }
}

function round1(value: number): number {
  return Math.round(10 * value) / 10
}

const SHAPES = ['circle', 'rect', 'triangle', 'diamond', 'pin', 'arrow']
const DASHES = ['solid', 'dashed', 'dotted']

/** A line of a chart over time. */
interface Line {
  readonly name: string
  readonly points: readonly { readonly at: number, readonly value: number }[]
}

/** Seconds a stitch, bag after bag, a line for every stitch; told apart by mark and dash too. */
export function paceOverTime(inks: Inks, lines: readonly Line[]): ChartOption {
  const colours = [inks.accent, inks.other, inks.third, inks.ink]
  return {
    ...base(inks), grid: { left: 8, right: 18, top: 52, bottom: 8, containLabel: true },
    xAxis: axis(inks, { type: 'time', axisLabel: { color: inks.soft, formatter: (at: number) => DAY.format(at), hideOverlap: true } }),
    yAxis: axis(inks, { type: 'value', scale: true, axisLabel: { color: inks.soft, formatter: '{value} s' } }),
    series: lines.map(({ name, points }, i) => ({
      name, type: 'line', symbol: SHAPES[i % SHAPES.length], symbolSize: 8, itemStyle: { color: colours[i % colours.length] },
      lineStyle: { color: colours[i % colours.length], type: DASHES[Math.floor(i / colours.length) % DASHES.length] },
      data: points.map(({ at, value }) => [at, round1(value)]),
    })),
  }
}

/** How much larger than its swatch a stitch came out, along the bag: width and height told apart by mark. */
export function alongChart(
  inks: Inks,
  points: readonly { readonly at: number, readonly value: number, readonly side: 'width' | 'height', readonly bag: string }[],
): ChartOption {
  const of = (side: 'width' | 'height') =>
    points.filter(one => one.side === side).map(({ at, value, bag }) => ({ value: [Math.round(100 * at), percent(value)], name: bag }))
  return {
    ...base(inks),
    xAxis: axis(inks, { type: 'value', min: 0, max: 100, axisLabel: { color: inks.soft, formatter: '{value} %', hideOverlap: true } }),
    yAxis: axis(inks, { type: 'value', axisLabel: { color: inks.soft, formatter: '{value} %', hideOverlap: true } }),
    series: [
      { name: 'Width', type: 'scatter', symbol: 'circle', symbolSize: 9, itemStyle: { color: inks.accent }, data: of('width') },
      { name: 'Height', type: 'scatter', symbol: 'triangle', symbolSize: 10, itemStyle: { color: inks.other }, data: of('height') },
    ],
  }
}

/** Predicted weight of a yarn, where other bags tell, and the real one. */
interface YarnBar {
  readonly name: string
  readonly said?: number
  readonly grams: number
}

/** Grams said against grams weighed, a yarn a bar. */
export function yarnChart(inks: Inks, yarns: readonly YarnBar[]): ChartOption {
  return {
    ...base(inks),
    yAxis: axis(inks, {
      type: 'category', data: yarns.map(({ name }) => name), axisLabel: { color: inks.ink, width: 150, overflow: 'truncate' },
    }),
    xAxis: axis(inks, { type: 'value', axisLabel: { color: inks.soft, formatter: '{value} g' } }),
    series: [
      ...(yarns.some(({ said }) => said !== undefined)
        ? [
            {
              name: 'Said, by all your bags', type: 'bar', itemStyle: { color: inks.paper, borderColor: inks.soft, borderType: 'dashed' },
              data: yarns.map(({ said }) => (said === undefined ? null : Math.round(said))),
            },
          ]
        : []),
      { name: 'Weighed', type: 'bar', itemStyle: { color: inks.accent }, data: yarns.map(({ grams }) => Math.round(grams)) },
    ],
  }
}
