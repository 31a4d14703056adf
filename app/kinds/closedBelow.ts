import { boat } from '~~/core/parts/base/boat'
import { doubleDisc } from '~~/core/parts/base/doubleDisc'
import { tube } from '~~/core/parts/base/tube'

/** Bases of few rounds, or of two floors. */
export const FORMS = [doubleDisc, boat, tube] as const
