import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { readDesign } from '../../bag/design/read'
import { everyAnswer } from '../../../tests/kept/everyAnswer'
import { keptDraft } from '../../../tests/kept/keptDraft'

const root = fileURLToPath(new URL('../../../', import.meta.url))

describe('the demo bags come to what was kept of them (npm run documents writes it anew, for the review)', () => {
  it.each(readdirSync(`${root}tests/kept/drafts`))('%s', (file) => {
    const reading = readDesign(JSON.parse(readFileSync(`${root}demo/${file.replace('.txt', '.json')}`, 'utf8')))
    expect(reading.ok && keptDraft(reading.document)).toBe(readFileSync(`${root}tests/kept/drafts/${file}`, 'utf8'))
  })
})

/**
 * Bags of earlier versions, and those that are rightly worked otherwise now: the loaf bag's waves are told by a column of them since, and
 * take more rounds for the height that is wanted; the market bag's taper has its decreases elsewhere in each round; the lunch wrap's hills
 * rise as the mean of a whole hill, and come to a row more for its height.
 */
const EARLIER = [
  { version: 2, otherwise: ['loaf-bag.txt', 'harvest-stripe.txt'] }, { version: 3, otherwise: ['lunch-wrap.txt'] },
] as const

describe.each(EARLIER)('the demo bags of version $version are worked as they were then, round by round', ({ version, otherwise }) => {
  const kept = `${root}tests/kept/version-${version}`
  const files = readdirSync(kept).filter(file => file.endsWith('.txt') && !(otherwise as readonly string[]).includes(file))
  it.each(files)('%s', (file) => {
    const before = JSON.parse(readFileSync(`${kept}/${file.replace('.txt', '.json')}`, 'utf8')) as Record<string, unknown>
    expect(before.version).toBe(version)
    const reading = readDesign(before)
    const rounds = reading.ok ? keptDraft(reading.document).split('\n').filter(line => /^(Round|Row)s? \d/.test(line)) : []
    expect(rounds.join('\n')).toBe(readFileSync(`${kept}/${file}`, 'utf8').trim())
  })
})

describe('every answer to every question of every kind', () => {
  it('comes to what was kept of it, line by line', () => {
    const kept = readFileSync(`${root}tests/kept/every-answer.txt`, 'utf8').split('\n')
    const now = everyAnswer().split('\n')
    expect(now.map(line => line.split(': counts')[0])).toEqual(kept.map(line => line.split(': counts')[0]))
    expect(now.filter((line, i) => line !== kept[i])).toEqual([])
  }, 120_000)
})
