import { banded } from './banded'
import { boat } from './boat'
import { bought } from './bought'
import { circle } from './circle'
import { doubleDisc } from './doubleDisc'
import { folded } from './folded'
import type { FormSpecOf } from './form'
import { motifs } from './motifs'
import { oval } from './oval'
import { rectangle } from './rectangle'
import { tube } from './tube'

/** The forms of floor, or of none, that a bag can start from (craft 5), as they are offered: the only list of them. */
export const BASE_FORMS = [circle, banded, oval, rectangle, doubleDisc, boat, tube, folded, motifs, bought] as const

/** The spec of a base, of any form. */
export type BaseSpec = FormSpecOf<(typeof BASE_FORMS)[number]>
