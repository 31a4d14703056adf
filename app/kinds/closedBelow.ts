import { boat } from '~~/core/base/boat'
import { doubleDisc } from '~~/core/base/doubleDisc'
import { tube } from '~~/core/base/tube'

/** Bases of few rounds, or of two floors. */
export const FORMS = [doubleDisc, boat, tube] as const
