import type { Design, WallPart } from '../../bag/design/design'
import { kindOf } from '../../parts/wall/wall'

/** The stitch patterns of some parts by their names, each once: those that a swatch of a plain stitch says little of. */
export function textureTitles(parts: readonly WallPart[], { repeats }: Pick<Design, 'repeats'>): string[] {
  const titles = parts.flatMap((spec) => {
    const kind = kindOf(spec)
    return kind.texture && !kind.plain ? [kind.title?.(spec, repeats) ?? kind.name] : []
  })
  return [...new Set(titles)]
}
