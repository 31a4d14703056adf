import { describe, expect, it } from 'vitest'
import { HOOK_SIZES, hookNamed } from './hooks'
import { parseFigure } from './parseFigure'

describe('figures as they are typed', () => {
  it('take commas, fractions, and the unit or the word that is asked for', () => {
    expect([parseFigure('12,5', 'kg'), parseFigure('4 1/2', 'mm'), parseFigure('30sts', 'sts'), parseFigure('30 st', 'sts')])
      .toEqual([12.5, 4.5, 30, 30])
    expect(parseFigure('5 mm', 'mm')).toBe(5)
    expect(parseFigure('8 rounds', 'rounds')).toBe(8)
  })

  it('take pounds, ounces and yards where metric ones are asked for', () => {
    expect(parseFigure('2 lb', 'kg')).toBeCloseTo(0.907, 3)
    expect(parseFigure('1 oz', 'g')).toBeCloseTo(28.35, 2)
    expect(parseFigure('100 yd', 'm')).toBeCloseTo(91.44, 2)
  })

  it('take grams and metres where ounces, pounds and yards are asked for', () => {
    expect([parseFigure('2', 'oz'), parseFigure('1 lb', 'oz'), parseFigure('1 kg', 'lb'), parseFigure('0.9144 m', 'yd')])
      .toEqual([2, 16, 2.20462, 1])
  })

  it('take nothing else', () => {
    for (const text of ['', 'many', '4 apples', '3 x 3']) expect(parseFigure(text, 'sts')).toBeUndefined()
    expect(parseFigure('2 lb', 'mm')).toBeUndefined()
  })
})

// Craft Yarn Council, Standards & Guidelines, "Crochet Hook Sizes" (from memory).
describe('hooks by their names', () => {
  it('are found as they are written on the hook, and by letter or number alone', () => {
    expect([hookNamed('H-8'), hookNamed('h8'), hookNamed('8/H'), hookNamed('US H'), hookNamed('7')]).toEqual([5, 5, 5, 5, 4.5])
    expect([hookNamed('I'), hookNamed('K-10 1/2'), hookNamed('UK 8'), hookNamed('UK8')]).toEqual([5.5, 6.5, 4, 4])
    expect(hookNamed('Ω')).toBeUndefined()
  })

  it('every named size is found by its own name', () => {
    for (const { mm, us } of HOOK_SIZES) if (us?.includes('-')) expect(hookNamed(us), us).toBe(mm)
    expect(parseFigure('H-8', 'mm')).toBe(5)
  })
})
