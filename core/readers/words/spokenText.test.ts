import { describe, expect, it } from 'vitest'
import { demoDesigns } from '../../../tests/pattern/spokenOf'
import { draft } from '../../bag/draft/draft'
import { spokenText } from './spokenText'
import { roundLines } from './pattern'

describe('a line said aloud', () => {
  it('says words in the place of short forms, in both vocabularies', () => {
    expect(spokenText('Ch 1; beg in same st as join: [sc in next 3 sts, 2 sc in next st] 6 times; join with sl st to first sc', 'us')).toBe(
      'chain 1, begin in same stitch as join, single crochet in next 3 stitches, 2 single crochet in next stitch, 6 times, join with slip '
      + 'stitch to first single crochet',
    )
    expect(spokenText('FPdc around next st, sc2tog, sk next ch-sp', 'us')).toBe(
      'front post double crochet around next stitch, 2 single crochet together, skip next chain space',
    )
    expect(spokenText('dc in next st, miss next st', 'uk')).toBe('double crochet in next stitch, miss next stitch')
  })

  it('leaves no short form in any round of a demo bag', () => {
    for (const terms of ['us', 'uk'] as const)
      for (const { design } of demoDesigns())
        for (const { words } of roundLines(draft(design), terms))
          expect(spokenText(words, terms)).not.toMatch(/\b(sc|dc|hdc|htr|sts?|chs?|ch-sps?|sk|beg|rep)\b|[[\]{}()]/i)
  })
})
