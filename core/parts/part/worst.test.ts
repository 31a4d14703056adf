import { describe, expect, it } from 'vitest'
import type { Finding, Weight } from './finding'
import { countByWeight, countedWords, worstFirst } from './worst'

const found = (...weights: Weight[]): Finding[] => weights.map((weight, i) => ({ code: `c${i}`, weight, what: '' }))

describe('findings counted', () => {
  it('lists the heaviest first, and of one weight as they were found', () => {
    expect(worstFirst(found('note', 'watch', 'stop', 'watch', 'caution')).map(({ code }) => code)).toEqual(['c2', 'c4', 'c1', 'c3', 'c0'])
  })

  it('counts what wants something done, and says it in words', () => {
    const counted = countByWeight(found('watch', 'note', 'stop', 'watch'))
    expect(counted).toEqual([{ weight: 'stop', number: 1 }, { weight: 'watch', number: 2 }])
    expect(countedWords(counted)).toBe('1 stops it, 2 to keep an eye on')
    expect(countedWords(countByWeight(found('stop', 'stop', 'caution')))).toBe('2 stop it, 1 to take care of')
    expect(countedWords(countByWeight(found('note')))).toBe('')
  })
})
