import { describe, expect, it } from 'vitest'
import { fine, many, stitchesIn, tape, translate, valuesIn, gramsFromTo, gramsOf } from './translate'

describe('a text told', () => {
  const text = `Work {sc} ({sc.name}) for ${tape(12.7)}, ${many(1, 'stitch', 'stitches')} of ${fine(0.254)}; ${many(3, 'row')}, {nothing}.`

  it('speaks the maker\'s vocabulary, on the maker\'s tape, in numbers and plurals', () => {
    expect(translate(text, { terms: 'us', units: 'cm' })).toBe(
      'Work sc (single crochet) for 12.7 cm, 1 stitch of 2.54 mm; 3 rows, {nothing}.')
    expect(translate(text, { terms: 'uk', units: 'in' })).toBe('Work dc (double crochet) for 5 in, 1 stitch of 0.10 in; 3 rows, {nothing}.')
  })

  it('reads a tape in eighths of an inch, and touches nothing else', () => {
    const lay = `Lay ${tape(4)} of each end; ${tape(68.94)} stay free.`
    expect(translate(lay, { terms: 'us', units: 'cm' })).toBe('Lay 4 cm of each end; 68.9 cm stay free.')
    expect(translate(lay, { terms: 'us', units: 'in' })).toBe('Lay 1 5/8 in of each end; 27 1/8 in stay free.')
  })

  it('is data before it is told', () => {
    expect(valuesIn(text)).toEqual([
      { stitch: 'sc' }, { stitch: 'sc' }, { cm: 12.7 }, { number: 1, of: 'stitch' }, { mm: 2.54 }, { number: 3, of: 'row' },
    ])
    expect(stitchesIn(text)).toEqual(['sc'])
  })

  it('tells weights of yarn and spans of them in ounces where inches are meant', () => {
    const text = `wants ${gramsFromTo(34.6, 49.2)}, ${gramsOf(45)} are there`
    expect(translate(text, { terms: 'us', units: 'cm' })).toBe('wants 34 to 50 g, 45 g are there')
    expect(translate(text, { terms: 'us', units: 'in' })).toBe('wants 1.2 to 1.8 oz, 1.6 oz are there')
    expect(valuesIn(text)).toEqual([{ g: 50 }, { g: 45 }])
  })

  it('keeps what is below nought, and what is nought', () => {
    expect(translate(`${tape(-1)} ${many(0, 'loop')} ${many(-1, 'st')}`, { terms: 'us', units: 'cm' })).toBe('-1 cm 0 loops -1 st')
  })
})
