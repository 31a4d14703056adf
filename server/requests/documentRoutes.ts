import type { Reading } from '../../core/bag/design/read'
import type { Repository } from '../db/documents'
import type { DocumentWord } from '../db/documentTables'
import type { Trash } from '../db/trash'
import { answerJson } from './answer'
import { askedToSave, saveIdOf } from './requestShapes'
import { jsonBody } from './body'
import { refuseOvertaken, refuseUnknown, soundOr422 } from './refuse'
import { sendDocument } from './sendFile'

/*
 * Routes of a sort of documents: its list, one of them, a new one, a save, a file, and to delete one.
 */

/** A sort of documents as requests meet it: what it is called, where it is kept, and how a document of it is read. */
export interface DocumentResource<D> {
  readonly what: DocumentWord
  readonly kept: () => Repository<D>
  readonly read: (input: unknown) => Reading<D>
  /** Refuses a new document that is sound, and asks for more than can be done. */
  readonly admit?: (document: D) => Promise<void>
  /** Follows a document that was kept, new or saved. */
  readonly afterSave?: (id: string) => void
}

/** Every document of a sort, the last changed first. */
export function listOf<D>({ kept }: DocumentResource<D>) {
  return defineEventHandler(event => answerJson(event, kept().list()))
}

/** One document of a sort. */
export function oneOf<D>({ what, kept }: DocumentResource<D>) {
  return defineEventHandler(event => answerJson(event, kept().find(getRouterParam(event, 'id')!) ?? refuseUnknown(what)))
}

/** Keeps a new document: one just started, or an open document brought in. */
export function addTo<D>({ kept, read, admit, afterSave }: DocumentResource<D>) {
  return defineEventHandler(async (event) => {
    const save = saveIdOf(event)
    const document = soundOr422(read(await jsonBody(event)))
    await admit?.(document)
    const added = kept().add(document, save)
    afterSave?.(added.id)
    setResponseStatus(event, 201)
    return added
  })
}

/** Saves a document over the revision it started from. */
export function saveOn<D>({ what, kept, read, afterSave }: DocumentResource<D>) {
  return defineEventHandler(async (event) => {
    const save = saveIdOf(event)
    const { revision, document } = askedToSave(await jsonBody(event))
    const id = getRouterParam(event, 'id')!
    const saved = kept().save(id, revision, soundOr422(read(document)), save)
    if (!saved.kept) return saved.why === 'gone' ? refuseUnknown(what) : refuseOvertaken(what)
    afterSave?.(id)
    return { revision: saved.revision, updatedAt: saved.updatedAt }
  })
}

/** Deletes one: it is in the trash for a while. */
export function removeFrom({ what, kept }: { readonly what: DocumentWord | 'make', readonly kept: () => Trash }) {
  return defineEventHandler((event) => {
    if (!kept().remove(getRouterParam(event, 'id')!)) refuseUnknown(what)
    setResponseStatus(event, 204)
    return null
  })
}

/** A document as a file: the open document. */
export function fileOf<D extends { readonly name: string, readonly fairHollow: string }>({ what, kept }: DocumentResource<D>) {
  return defineEventHandler((event) => {
    const { document } = kept().find(getRouterParam(event, 'id')!) ?? refuseUnknown(what)
    return sendDocument(event, document)
  })
}
