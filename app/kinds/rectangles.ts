import { rectangle } from '~~/core/parts/base/rectangle'

/** Floors with corners. */
export const FORMS = [rectangle] as const
