import type { SpecOf } from '../kind/kind'
import { ownRepeat } from '../field/questions'
import type { Repeat } from '../../things/repeat/repeat'
import type { Texture } from '../texture/texture'
import { textured } from './textured'
import { type OwnRepeatCheck, checkRepeat } from './checkRepeat'

const known = { rounds: new WeakMap<Repeat, OwnRepeatCheck>(), rows: new WeakMap<Repeat, OwnRepeatCheck>() }

/**
 * The texture of a repeat, in rounds or to and fro; none if it cannot be worked so. A repeat is checked once, since documents never
 * change.
 */
export function ownTexture(repeat: Repeat, way: 'rounds' | 'rows' = 'rounds'): Texture | undefined {
  let checked = known[way].get(repeat)
  if (!checked) known[way].set(repeat, (checked = checkRepeat(repeat, way === 'rows')))
  return checked.ok ? checked.texture : undefined
}

/** The repeat that a new one of the maker's own starts from. */
export function firstRepeat(id: string): Repeat {
  return {
    id, name: 'my repeat', lines: ['sc in next, (sc, ch 1, sc) in next, sk next 2 sts', 'sc in next 2, sk next ch-sp, 2 sc in next'],
  }
}

/** A band in a repeat of the maker's own (craft 7). */
export const own = textured({
  kind: 'own', group: 'Fabric', name: 'a repeat of your own',
  does: 'Typed in the same abbreviations as the pattern, and checked as you type.',
  title: ({ repeat }, repeats) => repeats.find(({ id }) => id === repeat)?.name ?? '',
  fields: { repeat: ownRepeat({ unasked: true, says: 'The id of one of the design\'s repeats.' }) }, tools: ['own-repeat'],
  begins: ({ repeats }) => ({ repeat: repeats[0]?.id ?? 'own-1' }),
  texture: ({ repeat }, repeats) => {
    const found = repeats.find(({ id }) => id === repeat)
    return found && ownTexture(found)
  },
  inRows: ({ repeat }, repeats) => {
    const found = repeats.find(({ id }) => id === repeat)
    return found && ownTexture(found, 'rows')
  },
})

export type OwnSpec = SpecOf<typeof own>
