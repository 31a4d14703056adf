import { describe, expect, it } from 'vitest'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { searchHits } from './search'

const drafted = draft(newDesign('Jumped'))
const screens = [{ name: 'Yarn', does: 'what lies on the shelf', to: '/yarns' }, { name: 'Orders', does: 'by a day', to: '/orders' }]
const jump = (search: string) => searchHits(search, { draft: drafted, screens, vocabulary: 'us' })

describe('jumping', () => {
  it('goes to a round by its number, however it is written, and to none that is not there', () => {
    for (const search of ['5', 'r5', 'Round 5', 'rnd 5']) expect(jump(search)[0]).toMatchObject({ sort: 'round', to: '5', name: 'Round 5' })
    expect(jump('9999')).toEqual([])
    expect(jump('0')).toEqual([])
  })

  it('finds parts from the mouth down, screens by what they are for, terms in both vocabularies', () => {
    expect(jump('').filter(({ sort }) => sort === 'part').map(({ name }) => name)).toEqual(['Plain wall', 'Turn-up', 'Base'])
    expect(jump('shelf')[0]).toMatchObject({ sort: 'screen', to: '/yarns' })
    expect(jump('single crochet').map(({ name }) => name)).toContain('sc: single crochet')
    expect(jump('htr')[0]).toMatchObject({ sort: 'term', name: 'hdc: half double crochet' })
  })

  it('works without a bag in hand', () => {
    expect(searchHits('5', { screens, vocabulary: 'uk' })).toEqual([])
    expect(searchHits('orders', { screens, vocabulary: 'uk' })[0]!.to).toBe('/orders')
  })
})
