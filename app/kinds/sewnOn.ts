import { sewnStraps } from '~~/core/handle/sewnStraps'
import { underStrap } from '~~/core/handle/underStrap'

/** Straps that are sewn on. */
export const PARTS = [sewnStraps, underStrap] as const
