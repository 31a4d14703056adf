import { checkRepeat } from '../../parts/band/checkRepeat'
import type { SwatchDocument } from './design'
import type { Problem } from './problem'
import { gaugeProblems } from './consistency'

/** Statements of a swatch that cannot be: about its stitches, or a repeat of the maker's own that it is of. */
export function swatchProblems({ gauge, texture }: SwatchDocument): Problem[] {
  if (texture?.of.repeat === undefined) return gaugeProblems(gauge)
  if (!texture.lines?.length) return [...gaugeProblems(gauge), { field: 'texture.lines', message: 'must hold the lines of the repeat' }]
  const checked = checkRepeat({ id: String(texture.of.repeat), name: '', lines: texture.lines })
  return checked.ok
    ? gaugeProblems(gauge)
    : [...gaugeProblems(gauge), { field: `texture.lines.${checked.trouble.line}`, message: checked.trouble.what }]
}
