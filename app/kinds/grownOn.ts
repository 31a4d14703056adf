import { grownStrap } from '~~/core/handle/grownStrap'
import { knotStraps } from '~~/core/handle/knotStraps'

/** Straps that grow from the rim. */
export const PARTS = [grownStrap, knotStraps] as const
