import { oval } from '~~/core/parts/base/oval'

/** Oval floors. */
export const FORMS = [oval] as const
