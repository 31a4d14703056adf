import { loops } from '~~/core/mesh/loops'

/** Nets of loops. */
export const PARTS = [loops] as const
