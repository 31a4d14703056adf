import { oval } from '~~/core/base/oval'

/** Oval floors. */
export const FORMS = [oval] as const
