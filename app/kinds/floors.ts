import { banded } from '~~/core/base/banded'
import { boat } from '~~/core/base/boat'
import { doubleDisc } from '~~/core/base/doubleDisc'
import { oval } from '~~/core/base/oval'
import { rectangle } from '~~/core/base/rectangle'
import { tube } from '~~/core/base/tube'

/** Floors that are worked in rounds, besides the plain disc. */
export const FORMS = [banded, oval, rectangle, doubleDisc, boat, tube] as const
