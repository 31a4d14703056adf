import { rectangle } from '~~/core/base/rectangle'

/** Floors with corners. */
export const FORMS = [rectangle] as const
