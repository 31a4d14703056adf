import { dirname, join, relative, sep } from 'node:path'

/*
 * Which way imports may point, by folders. Core's folders stand in six wings, and the wings and the folders of each in a row, from what
 * knows nothing to what knows everything; the page's folders stand in a row too. Each may import what stands before it.
 */

/** What things are; the parts of a bag; the bag; who reads it; what happens to it; the household's goods. */
export const WINGS = {
  things: ['random', 'measure', 'stitch', 'entry', 'gauge', 'round', 'repeat'],
  parts: [
    'part', 'field', 'texture', 'kind', 'mesh', 'band', 'flat', 'motif', 'base', 'contents', 'mouth', 'handle', 'wall',
  ],
  bag: ['design', 'draft', 'yarn', 'fit', 'whole'],
  readers: ['words', 'chart', 'beats', 'export'],
  making: ['make', 'log'],
  household: ['shelf', 'plan'],
}
export const CORE = Object.entries(WINGS).flatMap(([wing, folders]) => folders.map(folder => `${wing}/${folder}`))
export const APP = ['kinds', 'looks', 'reading', 'keeping', 'workers', 'stores', 'composables', 'components', 'pages']

/** Houses, and whom each may know besides itself; whoever is not named here may know all. */
const KNOWS = { core: [], app: ['core'], server: ['core', 'demo'], cli: ['core', 'server'] }

/** Packages that core may use: none of them knows of a page, a machine or a clock. */
export const CORE_PACKAGES = ['class-transformer', 'class-validator', 'date-fns', 'immer', 'reflect-metadata']

const ALIASES = [
  ['~~/', ''], ['@@/', ''], ['~/', 'app/'], ['@/', 'app/'],
]

/** The path from the root that an import means; nothing for a package. */
function meant(source, from) {
  if (source.startsWith('.')) return join(dirname(from), source)
  const alias = ALIASES.find(([sign]) => source.startsWith(sign))
  return alias && alias[1] + source.slice(alias[0].length)
}

/** The house that a path stands in, and the folder of it (in core with its wing); no folder for a file that stands above them. */
export function placeOf(path) {
  const [house, ...below] = path.split(/[\\/]/)
  const deep = house === 'core' ? 2 : 1
  return { house, folder: below.length > deep ? below.slice(0, deep).join('/') : undefined }
}

function troubleOf(from, to) {
  const [here, there] = [placeOf(from), placeOf(to)]
  if (here.house !== there.house) {
    return here.house in KNOWS && !KNOWS[here.house].includes(there.house) ? `${here.house} knows nothing of ${there.house}.` : undefined
  }
  const order = { core: CORE, app: APP }[here.house]
  if (!order || here.folder === there.folder) return undefined
  const [own, other] = [order.indexOf(here.folder), order.indexOf(there.folder)]
  if (here.house === 'core' && other < 0) return `${to} stands in no folder of core's order (lint/arrows.mjs).`
  if (own >= 0 && other > own)
    return `${here.house}/${here.folder} may only import what stands before it: ${order.slice(0, own).join(', ') || 'nothing'}.`
  return undefined
}

function packageTrouble(source, from) {
  if (placeOf(from).house !== 'core' || /\.test\.ts$/.test(from)) return undefined
  return CORE_PACKAGES.includes(source.split('/')[0])
    ? undefined
    : `core may use no package but ${CORE_PACKAGES.join(', ')}: no page, no machine, no clock.`
}

/** Imports point one way. */
export const arrows = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const from = relative(context.cwd, context.filename).split(sep).join('/')
    const { house, folder } = placeOf(from)
    const check = (node) => {
      const source = node.source?.value
      if (typeof source !== 'string') return
      const to = meant(source, from)
      const message
        = to === undefined ? packageTrouble(source, from) : /\.test\.ts$/.test(from) && house === 'core' ? undefined : troubleOf(from, to)
      if (message) context.report({ node, message })
    }
    return {
      Program(node) {
        if (house === 'core' && !CORE.includes(folder))
          context.report({ node, message: `${from} stands in no folder of core's order (lint/arrows.mjs).` })
      },
      ImportDeclaration: check, ExportNamedDeclaration: check, ExportAllDeclaration: check, ImportExpression: check, TSImportType: check,
    }
  },
}
