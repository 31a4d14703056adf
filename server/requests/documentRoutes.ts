import type { Reading } from '../../core/bag/design/read'
import type { Repository } from '../db/documents'
import { answerJson } from './answer'
import { askedToSave, saveIdOf } from './requestShapes'
import { jsonBody } from './body'
import { refuseOvertaken, refuseUnknown, soundOr422 } from './refuse'
import { sendDocument } from './sendFile'

/*
 * Routes of a sort of documents (swatches, yarns, orders): its list, one of them, a new one, a save, a file, and to throw one away.
 */

/** A shelf as requests meet it: what it is called, what is on it, and how a document of it is read. */
export interface ShelfDescription<D> {
  readonly what: 'swatch' | 'yarn' | 'order'
  readonly on: () => Repository<D>
  readonly read: (input: unknown) => Reading<D>
}

/** Every document of a shelf, the last changed first. */
export function listOf<D>({ on }: ShelfDescription<D>) {
  return defineEventHandler(event => answerJson(event, on().list()))
}

/** One document of a shelf. */
export function oneOf<D>({ what, on }: ShelfDescription<D>) {
  return defineEventHandler(event => on().find(getRouterParam(event, 'id')!) ?? refuseUnknown(what))
}

/** Keeps a new document: one just started, or an open document brought in. */
export function addTo<D>({ on, read }: ShelfDescription<D>) {
  return defineEventHandler(async (event) => {
    const save = saveIdOf(event)
    const kept = on().add(soundOr422(read(await jsonBody(event))), save)
    setResponseStatus(event, 201)
    return kept
  })
}

/** Saves a document over the revision it started from. */
export function saveOn<D>({ what, on, read }: ShelfDescription<D>) {
  return defineEventHandler(async (event) => {
    const save = saveIdOf(event)
    const { revision, document } = askedToSave(await jsonBody(event))
    const saved = on().save(getRouterParam(event, 'id')!, revision, soundOr422(read(document)), save)
    if (saved.kept) return { revision: saved.revision, updatedAt: saved.updatedAt }
    return saved.why === 'gone' ? refuseUnknown(what) : refuseOvertaken(what)
  })
}

/** Throws a document away: it lies aside for a while. */
export function removeFrom<D>({ what, on }: ShelfDescription<D>) {
  return defineEventHandler((event) => {
    if (!on().remove(getRouterParam(event, 'id')!)) refuseUnknown(what)
    setResponseStatus(event, 204)
    return null
  })
}

/** A document as a file: the open document. */
export function fileOf<D extends { readonly name: string, readonly fairHollow: string }>({ what, on }: ShelfDescription<D>) {
  return defineEventHandler((event) => {
    const { document } = on().find(getRouterParam(event, 'id')!) ?? refuseUnknown(what)
    return sendDocument(event, document)
  })
}
