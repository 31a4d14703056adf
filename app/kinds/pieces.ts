import { banded } from '~~/core/base/banded'
import { bought } from '~~/core/base/bought'
import { folded } from '~~/core/base/folded'
import { motifs } from '~~/core/base/motifs'

/** Bags that begin with pieces or with bands that grow: folded, of motifs, band by band, on a bought floor. */
export const FORMS = [banded, folded, motifs, bought] as const
