import type { H3Event } from 'h3'
import { ASIDE, type Aside, isAsideKind } from '../db/repositories'

/** The document in the trash that a request means, and the answer that there is no such thing. */
export function trashedOr404(event: H3Event): { readonly aside: Aside, readonly id: string, readonly refuse: () => never } {
  const kind = getRouterParam(event, 'kind')!
  const refuse = (): never => {
    throw createError({ statusCode: 404, message: 'This does not lie aside; it may have been brought back, or thrown away for good.' })
  }
  return isAsideKind(kind) ? { aside: ASIDE[kind](), id: getRouterParam(event, 'id')!, refuse } : refuse()
}
