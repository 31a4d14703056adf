import { sewnStraps } from '~~/core/parts/handle/sewnStraps'
import { underStrap } from '~~/core/parts/handle/underStrap'

/** Straps that are sewn on. */
export const PARTS = [sewnStraps, underStrap] as const
