import type { H3Event } from 'h3'
import { TRASHES } from '../db/repositories'
import type { Trash } from '../db/trash'

/** The document in the trash that a request means, and the answer that there is no such thing. */
export function trashedOr404(event: H3Event): { readonly trash: Trash, readonly id: string, readonly refuse: () => never } {
  const kind = getRouterParam(event, 'kind')!
  const refuse = (): never => {
    throw createError({ statusCode: 404, message: 'This is not in the trash; it may have been restored, or deleted for good.' })
  }
  return isTrashKind(kind) ? { trash: TRASHES[kind](), id: getRouterParam(event, 'id')!, refuse } : refuse()
}

function isTrashKind(word: string): word is keyof typeof TRASHES {
  return Object.hasOwn(TRASHES, word)
}
