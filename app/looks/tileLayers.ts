import type { Tile } from './tiles'
import { insideShade, threadLine } from './yarnShade'

/** A path of a tile: what is filled, or drawn as a line. */
interface Layer {
  readonly d: string
  readonly [attribute: string]: string | number
}

/** A tile from the fabric up: what is filled, and what is drawn as a line so thick in the yarn or in its shadow. */
export function layersOf({ outline, net, holes, ridges, threads, posts, signs }: Tile, yarn: string, bare?: boolean): Layer[] {
  const [shadow, inside] = [threadLine(yarn), insideShade(yarn)]
  const line = (d: string, stroke: string, thick: number): Layer => ({ d, stroke, 'fill': 'none', 'stroke-width': thick })
  return [
    { 'd': outline, 'fill': bare ? inside : yarn, 'fill-opacity': bare ? 0.25 : 1 }, line(net, shadow, 0.2), { d: holes, fill: inside },
    line(ridges, shadow, 0.09), line(threads, shadow, 0.1), line(posts, shadow, 0.32), line(posts, yarn, 0.2),
    ...signs.flatMap(({ path, thick }) => [line(path, shadow, thick + 0.3), line(path, yarn, thick)]),
  ].filter(({ d }) => d)
}
