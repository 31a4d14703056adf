import { bought } from '~~/core/base/bought'
import { folded } from '~~/core/base/folded'
import { motifs } from '~~/core/base/motifs'

/** Bags that begin with pieces: folded, of two motifs, on a bought floor. */
export const FORMS = [folded, motifs, bought] as const
