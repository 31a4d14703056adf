import type { H3Event } from 'h3'
import { cameOverNetwork } from '../door/gate'

/** Whether a request comes from the machine that the program runs on. */
export function isFromHere(event: H3Event): boolean {
  return !cameOverNetwork(event.node.req)
}

/** Answers 403 to whoever asks from elsewhere: only who sits at the machine itself lets others in. */
export function fromHereOr403(event: H3Event): void {
  if (!isFromHere(event))
    throw createError({ statusCode: 403, message: 'This is done on the machine that Fair Hollow runs on, not from another one.' })
}
