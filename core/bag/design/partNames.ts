import { kindOf } from '../../parts/wall/wall'
import type { Design, WallPart } from './design'

/** The part of a design that says how its parts are called. */
export type Naming = Pick<Design, 'wall' | 'yarns' | 'repeats'>

/** The first words of a yarn's name, which tell it from the bag's others: `moss green cotton` of `moss green cotton, DK`. */
function shortYarn(name: string): string {
  return name.split(',')[0]!.trim()
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** A plain band is known by its yarn, where the bag has several. */
function plainName({ wall, yarns }: Naming, spec: WallPart): string {
  const striped = 'stripes' in spec && spec.stripes !== undefined && spec.stripes.length > 1
  if (striped) return 'Striped wall'
  const used = new Set(wall.map(({ colour }) => colour))
  const yarn = yarns.find(({ id }) => id === spec.colour)
  return used.size > 1 && yarn ? `Plain in ${shortYarn(yarn.name)}` : 'Plain wall'
}

/** Name of a part of the wall, whatever else is called so: the maker's, or its kind's. */
function ownName(naming: Naming, spec: WallPart): string {
  if (spec.called) return spec.called
  const { title, name } = kindOf(spec)
  const kind = title ? title(spec, naming.repeats) : name
  return kind ? capital(kind) : plainName(naming, spec)
}

/**
 * Names of the parts of a wall, from the floor up: the maker's, or by what they are. Of several that would be called
 * the same, the second from the floor and those above it are numbered: `Net`, `Net 2`.
 */
export function partNames(naming: Naming): string[] {
  const taken = new Set<string>()
  return naming.wall.map((spec) => {
    const own = ownName(naming, spec)
    let name = own
    for (let number = 2; taken.has(name.toLowerCase()); number++) name = `${own} ${number}`
    taken.add(name.toLowerCase())
    return name
  })
}

/** A part's name within a sentence: its kind with a small letter, what a maker wrote as they wrote it otherwise. */
export function inSentence(name: string): string {
  return name.charAt(0).toLowerCase() + name.slice(1)
}

/** Name of one part of a wall, by its id; nothing if it is not there. */
export function partName(naming: Naming, id: string): string | undefined {
  return partNames(naming)[naming.wall.findIndex(part => part.id === id)]
}
