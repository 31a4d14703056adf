import { formOf } from '../../parts/base/base'
import { answersOf } from '../../parts/field/spec'
import { kindOf } from '../../parts/wall/wall'
import type { Design, Yarn } from './design'

/** The ids of all yarns that something of a bag is worked in. */
export function yarnsInUse({ base, wall }: Pick<Design, 'base' | 'wall'>): ReadonlySet<string> {
  const answers = [...answersOf(formOf(base).fields, base), ...wall.flatMap(part => answersOf(kindOf(part).fields, part))]
  return new Set(answers.filter(({ field }) => field.is === 'yarn').map(({ value }) => value as string))
}

const COLOURS = ['#71834f', '#a4503c', '#3f5b73', '#d9b65a', '#6a4a63', '#e8dcc2', '#8a6f4d', '#4b4742']

/** A further yarn of a bag, of another colour. */
export function furtherYarn(yarns: readonly Yarn[]): Yarn {
  let number = yarns.length + 1
  while (yarns.some(({ id }) => id === `yarn-${number}`)) number++
  return { id: `yarn-${number}`, name: `yarn ${number}`, colour: COLOURS[(number - 2) % COLOURS.length]! }
}
