import { loops } from '~~/core/parts/mesh/loops'

/** Nets of loops. */
export const PARTS = [loops] as const
