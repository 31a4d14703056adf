import { describe, expect, it } from 'vitest'
import { edit } from '../design/edit'
import { newDesign } from '../design/starter'
import { draft } from './draft'
import { looksSame, withoutDrafting } from './withoutDrafting'

describe('a bag of which other words are said', () => {
  const design = newDesign('Before')
  const before = draft(design)

  it('is not drafted anew, and comes to what it would come to', () => {
    const { design: noted } = edit(design, 'Notes', (one) => {
      one.note = 'for the fair'
      one.name = 'After'
      one.tags = 'fair'
    })
    const told = withoutDrafting(before, noted)!
    expect(told.parts).toBe(before.parts)
    const { stages: _, ...plain } = told
    const { stages: __, ...anew } = draft(noted)
    expect(JSON.parse(JSON.stringify(plain))).toEqual(JSON.parse(JSON.stringify(anew)))
    expect(looksSame(before, told)).toBe(true)
  })

  it('is drafted where anything else changes', () => {
    const { design: other } = edit(design, 'Hands', (one) => {
      one.hands = 'left'
    })
    expect(withoutDrafting(before, other)).toBeUndefined()
    expect(looksSame(before, draft(other, { before }))).toBe(false)
  })
})
