import { describe, expect, it } from 'vitest'
import { draft } from '../draft/draft'
import { patternOf } from '../../readers/words/pattern'
import { readDesign } from './read'
import { inSentence, partName, partNames } from './partNames'
import { newDesign } from './starter'
import { stacked } from './partIds'
import type { WallSpec } from '../../parts/wall/wall'

const plain = (colour: string, called?: string): WallSpec =>
  ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 3 } }, colour, ...(called ? { called } : {}) }) as WallSpec
const net: WallSpec = { kind: 'boxes', chains: 1, finish: false, size: { pin: { rounds: 2 } }, colour: 'main' }
const bag = (...wall: WallSpec[]) => ({
  ...newDesign('Named'), wall: stacked(wall),
  yarns: [{ id: 'main', name: 'undyed cotton, DK', colour: '#dddddd' }, { id: 'moss', name: 'moss green cotton, DK', colour: '#557744' }],
})

describe('what parts are called', () => {
  it('is what they are, numbered from the floor up where several are the same', () => {
    expect(partNames(bag(plain('main'), net, net))).toEqual(['Plain wall', 'Boxes', 'Boxes 2'])
  })

  it('tells plain bands by their yarns where there are several', () => {
    expect(partNames(bag(plain('main'), plain('moss'), plain('main'))))
      .toEqual(['Plain in undyed cotton', 'Plain in moss green cotton', 'Plain in undyed cotton 2'])
  })

  it('is what the maker says, in the pattern too, and is kept in the file', () => {
    const named = bag(plain('main', 'Belly'), net)
    expect(partName(named, 'part-1')).toBe('Belly')
    expect(patternOf(draft(named), 'us').sections.map(({ title }) => title)).toContain('Belly')
    const read = readDesign(JSON.parse(JSON.stringify(named)))
    expect(read.ok && partNames(read.document)).toEqual(['Belly', 'Boxes'])
    expect(readDesign({ ...named, wall: [{ ...named.wall[0]!, called: 'x'.repeat(41) }] }).ok).toBe(false)
  })

  it('is what the maker says of the base as well', () => {
    const named = bag(net)
    const read = readDesign(JSON.parse(JSON.stringify({ ...named, base: { ...named.base, called: 'Heart of the bag' } })))
    expect(read.ok && draft(read.document).parts.map(({ name }) => name)).toEqual(['Heart of the bag', 'Turn-up', 'Boxes'])
    expect(read.ok && patternOf(draft(read.document), 'us').sections[0]!.title).toBe('Heart of the bag')
  })

  it('keeps what a maker wrote within a sentence, but for its first letter', () => {
    expect(inSentence('Plain wall 2')).toBe('plain wall 2')
    expect(inSentence('Edge of Ann')).toBe('edge of Ann')
  })

  it('is what the maker says of the turn-up, in the pattern too', () => {
    const folded = { ...bag(net), turnUp: 'back-loop' as const }
    const read = readDesign(JSON.parse(JSON.stringify({ ...folded, turnUpCalled: 'The fold' })))
    const drafted = draft(read.ok ? read.document : newDesign('unread'))
    expect(drafted.parts.map(({ name }) => name)).toEqual(['Base', 'The fold', 'Boxes'])
    expect(patternOf(drafted, 'us').sections[1]!.title).toBe('The fold')
    expect(draft(folded, { before: drafted }).parts[1]!.name).toBe('Turn-up')
  })

  it('follows a yarn that is called otherwise, where the draft before is taken over', () => {
    const before = bag(plain('main'), plain('moss'))
    const after = { ...before, yarns: before.yarns.map(yarn => (yarn.id === 'moss' ? { ...yarn, name: 'fern' } : yarn)) }
    expect(draft(after, { before: draft(before) }).parts.at(-1)!.name).toBe('Plain in fern')
  })
})
