import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import { draft } from '../draft/draft'
import type { Design } from './design'
import { apply, applyFix, edit, undo, type Writable } from './edit'
import { type History, NO_HISTORY, record, redo, undo as undoLast } from './history'
import { gaugeOf } from '../../things/gauge/gauge'
import { stacked } from './partIds'
import { turnedInto } from './changeKind'
import { newDesign } from './starter'

const recipes: Record<string, (design: Writable<Design>) => void> = {
  rename: (design) => { design.name = 'Another' },
  widen: (design) => { design.base = { ...newDesign('x').base, size: { want: { diameterCm: 21 } } } },
  addBand: (design) => { design.wall.push({ id: 'part-99', kind: 'solid', stitch: 'dc', size: { pin: { rounds: 3 } }, colour: 'main' }) },
  dropBand: (design) => { design.wall.splice(0, 1) },
  reorder: (design) => { design.wall.reverse() },
  regauge: (design) => { design.gauge.measured = { dc: { stitches: 12, rounds: 7, overCm: 10 } } },
}
const someRecipes = fc.array(fc.constantFrom(...Object.keys(recipes)), { minLength: 1, maxLength: 8 })

describe('edits', () => {
  it('undo what they did, and do it again (law 6)', () => {
    fc.assert(fc.property(anyDesign, fc.constantFrom(...Object.keys(recipes)), (design, name) => {
      const { design: next, edit: made } = edit(design, name, recipes[name]!)
      if (!made) {
        expect(next).toBe(design)
        return
      }
      expect(undo(next, made)).toEqual(design)
      expect(apply(design, made)).toEqual(next)
      expect(undo(next, JSON.parse(JSON.stringify(made)) as typeof made)).toEqual(design)
    }), SEED)
  })

  it('undo in any number, back to the very start', () => {
    fc.assert(fc.property(anyDesign, someRecipes, (start, names) => {
      let state = { design: start, history: NO_HISTORY }
      for (const name of names) {
        const { design, edit: made } = edit(state.design, name, recipes[name]!)
        if (made) state = { design, history: record(state.history, made) }
      }
      const end = state.design
      const steps = state.history.past.length
      for (let i = 0; i < steps + 1; i++) state = undoLast(state.design, state.history)
      expect(state.design).toEqual(start)
      for (let i = 0; i < steps + 1; i++) state = redo(state.design, state.history)
      expect(state.design).toEqual(end)
    }), { ...SEED, numRuns: 50 })
  })

  it('of one group are undone together', () => {
    const start = newDesign('Pouch')
    let state: { design: Design, history: History } = { design: start, history: NO_HISTORY }
    for (const diameterCm of [1, 15, 150]) {
      const { design, edit: made } = edit(state.design, 'Diameter', (d) => {
        d.base = { ...newDesign('x').base, size: { want: { diameterCm } } }
      }, 'base.size')
      state = { design, history: record(state.history, made!) }
    }
    expect(state.history.past).toHaveLength(1)
    expect(undoLast(state.design, state.history).design).toEqual(start)
  })

  it('leave no future behind once something new is done', () => {
    const start = newDesign('Pouch')
    const first = edit(start, 'a', recipes.rename!)
    const back = undoLast(first.design, record(NO_HISTORY, first.edit!))
    expect(back.history.future).toHaveLength(1)
    expect(record(back.history, edit(start, 'b', recipes.widen!).edit!).future).toHaveLength(0)
  })

  it('apply a finding\'s fix, after which the finding is gone, and undo it', () => {
    const start = { ...newDesign('Pouch'), base: { ...newDesign('Pouch').base, increases: 9 } }
    const finding = draft(start).findings.find(({ code }) => code === 'base-ruffle')!
    const { design, edit: made } = applyFix(start, finding.fix!)
    expect(draft(design).findings.map(({ code }) => code)).toContain('base-flat')
    expect(undo(design, made!)).toEqual(start)
  })
})

describe('a part turned into a casing', () => {
  it('brings an adjusting round where the count does not divide, and keeps the name that the maker gave it', () => {
    const design = { ...newDesign('Cased'), wall: stacked([
      { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 9 } }, colour: 'main' },
      { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 1 } }, colour: 'main', called: 'Where the cords go' },
    ]) }
    const gauge = gaugeOf(design.gauge)
    const odd = turnedInto(design, 'part-2', 'eyelets', { aroundCm: 37, count: 74, gauge })
    const { wall } = applyFix(design, odd).design
    expect(wall.map(({ kind }) => kind)).toEqual(['solid', 'adjust', 'eyelets'])
    expect(wall[2]).toMatchObject({ id: 'part-2', called: 'Where the cords go' })
    const even = applyFix(design, turnedInto(design, 'part-2', 'eyelets', { aroundCm: 36, count: 72, gauge })).design
    expect(even.wall.map(({ kind }) => kind)).toEqual(['solid', 'eyelets'])
  })
})
