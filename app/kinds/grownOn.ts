import { grownStrap } from '~~/core/parts/handle/grownStrap'
import { knotStraps } from '~~/core/parts/handle/knotStraps'

/** Straps that grow from the rim. */
export const PARTS = [grownStrap, knotStraps] as const
