import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { APP, CORE, placeOf, WINGS } from '../lint/arrows.mjs'

/*
 * The picture of the folders and of which knows which, drawn from the imports as they are (docs/architecture.svg). A test draws it again
 * and compares: it cannot come to lie.
 */

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const HOUSES = [{ house: 'core', folders: CORE }, { house: 'app', folders: APP }] as const

/** An import from one folder of a house to another, or to another house. */
interface Arrow {
  readonly from: string
  readonly to: string
  readonly times: number
}

function filesIn(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter(file => /\.(ts|vue)$/.test(file) && !/\.test\.ts$/.test(file))
    .map(file => join(folder, file))
}

/** The folder that a file stands in, as the picture names it: `core/bag/draft`, `app/stores`, `server`. */
function folderOf(file: string): string | undefined {
  const { house, folder } = placeOf(file)
  const known = HOUSES.find(one => one.house === house)
  if (!known) return house === 'server' || house === 'cli' ? house : undefined
  return folder && (known.folders as readonly string[]).includes(folder) ? `${house}/${folder}` : undefined
}

function meant(source: string, from: string): string | undefined {
  if (source.startsWith('.')) return relative(ROOT, join(ROOT, dirname(from), source))
  if (source.startsWith('~~/')) return source.slice(3)
  return source.startsWith('~/') ? `app/${source.slice(2)}` : undefined
}

/** Every arrow between folders, by how many imports it stands for. */
export function arrowsBetween(): Arrow[] {
  const found = new Map<string, number>()
  for (const file of ['core', 'app', 'server', 'cli'].flatMap(filesIn)) {
    const from = folderOf(file)
    for (const [, source] of readFileSync(join(ROOT, file), 'utf8').matchAll(/(?:from|import\()\s*'([^']+)'/g)) {
      const target = meant(source!, file)
      const to = target && folderOf(target)
      if (from && to && from !== to) found.set(`${from} ${to}`, (found.get(`${from} ${to}`) ?? 0) + 1)
    }
  }
  return [...found].map(([key, times]) => ({ from: key.split(' ')[0]!, to: key.split(' ')[1]!, times })).sort((a, b) =>
    `${a.from} ${a.to}`.localeCompare(`${b.from} ${b.to}`))
}

const ROW = 24
const COLUMN = { core: 140, app: 720, server: 1000 } as const
/** The wings from the ground up, each with the rows that its folders take and one to part it from the next. */
const FLOORS = Object.entries(WINGS).reduce<{ wing: string, folders: readonly string[], first: number }[]>((floors, [wing, folders]) => {
  const below = floors.at(-1)
  return [...floors, { wing, folders, first: below ? below.first + below.folders.length + 1 : 1 }]
}, [])
const TALL = (FLOORS.at(-1)!.first + FLOORS.at(-1)!.folders.length + 2) * ROW

/** A wing: a band behind its folders, with its name beside them. */
function wingSvg({ wing, folders, first }: typeof FLOORS[number]): string {
  const top = TALL - (first + folders.length) * ROW + ROW / 4
  const height = folders.length * ROW
  return `<rect class="wing" x="20" y="${top}" width="240" height="${height}" rx="6"/>`
    + `<text class="wing-name" x="76" y="${top + height / 2 + 5}">${wing}</text>`
}

/** The picture: folders in a column for each house, what knows nothing at the foot; arrows arch from who knows to what is known. */
export function architectureSvg(): string {
  const places = new Map<string, { x: number, y: number }>()
  for (const { wing, folders, first } of FLOORS)
    folders.forEach((folder, i) => places.set(`core/${wing}/${folder}`, { x: COLUMN.core, y: TALL - (first + i) * ROW - ROW / 4 }))
  APP.forEach((folder, i) => places.set(`app/${folder}`, { x: COLUMN.app, y: Math.round(TALL - (i * 2.6 + 2) * ROW) }))
  places.set('server', { x: COLUMN.server, y: TALL - 9 * ROW })
  places.set('cli', { x: COLUMN.server, y: TALL - 16 * ROW })
  const arrows = arrowsBetween()
  const lines = arrows.flatMap(({ from, to, times }) => {
    const [a, b] = [places.get(from), places.get(to)]
    if (!a || !b) return []
    const thick = Math.min(3, 0.5 + times / 8).toFixed(2)
    const [ax, bx] = [a.x + 110, b.x + 110]
    const bow = a.x === b.x ? 30 + Math.abs(a.y - b.y) * 0.42 : 0
    const path = a.x === b.x
      ? `M${ax} ${a.y}C${ax + bow} ${a.y} ${bx + bow} ${b.y} ${bx} ${b.y}`
      : `M${a.x - 6} ${a.y}C${a.x - 90} ${a.y} ${bx + 90} ${b.y} ${bx} ${b.y}`
    return [`<path d="${path}" stroke-width="${thick}"><title>${from} knows ${to}: ${times} imports</title></path>`]
  })
  const names = [...places].map(([name, { x, y }]) => {
    const shown = name.split('/').at(-1)
    return `<g><rect x="${x}" y="${y - 9}" width="110" height="18" rx="3"/><text x="${x + 55}" y="${y + 4}">${shown}</text></g>`
  })
  const heads = [['core', COLUMN.core], ['app', COLUMN.app], ['server, cli', COLUMN.server]]
    .map(([name, x]) => `<text class="head" x="${Number(x) + 55}" y="18">${name}</text>`)
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1150 ${TALL}" font-family="sans-serif" font-size="12">`,
    '<title>Which folder knows which: drawn from the imports by npm run documents</title>',
    '<style>path{fill:none;stroke:#7c1f4e;opacity:.34}rect{fill:#fbf8f0;stroke:#26231f}text{fill:#26231f;text-anchor:middle}'
    + '.head{font-weight:700;font-size:15px}.wing{fill:#e9e0cd;stroke:none}.wing-name{font-weight:700;font-size:14px}</style>',
    `<rect width="1150" height="${TALL}" style="fill:#f3eee3;stroke:none"/>`,
    ...FLOORS.map(wingSvg), ...lines, ...names, ...heads, '</svg>', '',
  ].join('\n')
}
