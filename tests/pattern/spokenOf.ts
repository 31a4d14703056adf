import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import type { Design } from '../../core/bag/design/design'
import { readDesign } from '../../core/bag/design/read'
import { anyDesign, SEED } from '../arbitraries/designs'

/** Every demo bag, by its file's name. */
export function demoDesigns(): { readonly name: string, readonly design: Design }[] {
  return readdirSync('demo')
    .filter(file => !/^(swatch|make|yarn|order)-/.test(file))
    .map((name) => {
      const read = readDesign(JSON.parse(readFileSync(`demo/${name}`, 'utf8')))
      if (!read.ok) throw new Error(`${name} cannot be read`)
      return { name, design: read.document }
    })
}

/** So many random designs, always the same; 40 in the suite, as many as is asked for by `npm run torture`. */
export function randomDesigns(inSuite: number): Design[] {
  return fc.sample(anyDesign, { seed: SEED.seed, numRuns: Number(process.env.TORTURE ?? inSuite) })
}

/** The four ways a pattern is written: two vocabularies, two styles of repeats. */
export const MANNERS = [
  ['us', 'brackets'], ['us', 'asterisk'], ['uk', 'brackets'], ['uk', 'asterisk'],
] as const
