import { banded } from '~~/core/parts/base/banded'
import { bought } from '~~/core/parts/base/bought'
import { folded } from '~~/core/parts/base/folded'
import { motifs } from '~~/core/parts/base/motifs'

/** Bags that begin with pieces or with bands that grow: folded, of motifs, band by band, on a bought floor. */
export const FORMS = [banded, folded, motifs, bought] as const
