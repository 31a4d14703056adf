import { type AnyForm, type BaseSpec, isKnownForm, knowForms } from '~~/core/parts/base/base'
import { circle } from '~~/core/parts/base/circle'
import { ridges, solid } from '~~/core/parts/band/solid'
import type { Design } from '~~/core/bag/design/design'
import type { AnyKind } from '~~/core/parts/kind/kind'
import { isKnownPart, knowParts, type WallSpec } from '~~/core/parts/wall/wall'

/*
 * A bag is made of few kinds of base and part, and the page fetches those. What lays them all out to choose from, or may meet any bag,
 * fetches every kind.
 */

// A plain disc with a plain wall is what every bag begins as.
knowForms([circle])
knowParts([solid, ridges])

/** Said where kinds do not come. */
export const NOT_FETCHED = 'This part of the program could not be fetched. Is it still running? Try again in a moment.'

/** Kinds that come together, as they are often wanted together. */
type Box = () => Promise<{ readonly FORMS?: readonly AnyForm[], readonly PARTS?: readonly AnyKind[] }>

const ovals: Box = () => import('./ovals')
const rectangles: Box = () => import('./rectangles')
const closedBelow: Box = () => import('./closedBelow')
const pieces: Box = () => import('./pieces')
const textures: Box = () => import('./textures')
const nets: Box = () => import('./nets')
const casings: Box = () => import('./casings')
const edgings: Box = () => import('./edgings')
const openings: Box = () => import('./openings')
const grownOn: Box = () => import('./grownOn')
const sewnOn: Box = () => import('./sewnOn')
const hungIn: Box = () => import('./hungIn')
const closures: Box = () => import('./closures')
const shaping: Box = () => import('./shaping')

/**
 * Fails where files of the program do not come. A browser never asks again for a module that failed, as long as the page is open; so it is
 * asked for one that is here, before any that is not.
 */
async function filesCome(): Promise<void> {
  // What the page opens with either comes, or there is no page.
  if (globalThis.document?.readyState !== 'complete') return
  const { ok, status, body } = await fetch(import.meta.url, { cache: 'no-store' })
  await body?.cancel()
  if (!ok) throw new Error(`a file of the program was answered with ${status}`)
}

/** Every kind: for what proposes others than the bag has, and where nobody has said where a kind lies. */
const every: Box = async () => {
  const { knowEveryKind } = await import('~~/core/bag/design/everyKind')
  knowEveryKind()
  return {}
}

type KindBoxes<Word extends string> = Readonly<Partial<Record<Word, Box>>>

/** Where a form of base is fetched from; one that is left out comes with all others. */
const FORMS: KindBoxes<BaseSpec['form']> = {
  'oval': ovals, 'rectangle': rectangles, 'double-disc': closedBelow, 'boat': closedBelow, 'tube': closedBelow, 'banded': pieces,
  'folded': pieces, 'motifs': pieces, 'bought': pieces,
}

/** Where a kind of part is fetched from; likewise. */
const PARTS: KindBoxes<WallSpec['kind']> = {
  'rib': textures, 'pairs': textures, 'groups': textures, 'vees': textures, 'sprigs': textures, 'waves': textures, 'hills': textures,
  'boxes': textures, 'moss': textures, 'own': textures, 'panels': textures, 'loops': nets, 'eyelets': casings, 'ruffle': edgings,
  'picots': edgings, 'shells': edgings, 'rim': edgings, 'slots': openings, 'chain-straps': openings, 'grown-strap': grownOn,
  'knot-straps': grownOn, 'sewn-straps': sewnOn, 'under-strap': sewnOn, 'cross-body': hungIn, 'bought-handles': hungIn,
  'button-loop': closures, 'tab': closures, 'zip': closures, 'adjust': shaping, 'taper': shaping, 'written': shaping,
}

/** Fetches the kinds that bags are made of; nothing where all are known, so that nobody has to wait. */
export function fetchKinds(...bags: readonly Pick<Design, 'base' | 'wall'>[]): Promise<void> | undefined {
  const forms = bags.flatMap(({ base }) => (isKnownForm(base) ? [] : [FORMS[base.form] ?? every]))
  return know([...forms, ...bags.flatMap(({ wall }) => wall.flatMap(({ kind: band }) => boxesOf(band)))])
}

/** Fetches a kind of part; nothing where it is known. */
export function fetchPart(band: WallSpec['kind']): Promise<void> | undefined {
  return know(boxesOf(band))
}

function boxesOf(band: WallSpec['kind']): Box[] {
  return isKnownPart({ kind: band }) ? [] : [PARTS[band] ?? every]
}

function know(boxes: readonly Box[]): Promise<void> | undefined {
  return boxes.length > 0 ? fetched(new Set(boxes)) : undefined
}

async function fetched(boxes: ReadonlySet<Box>): Promise<void> {
  await filesCome()
  for (const { FORMS: forms = [], PARTS: parts = [] } of await Promise.all([...boxes].map(box => box()))) {
    knowForms(forms)
    knowParts(parts)
  }
}

/** Fetches every kind. */
export async function fetchEveryKind(): Promise<void> {
  await filesCome()
  await every()
}
