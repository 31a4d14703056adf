import { describe, expect, it } from 'vitest'
import { demoDesigns, randomDesigns } from '../../../tests/pattern/spokenOf'
import { draft } from '../../bag/draft/draft'
import { LOOPS } from '../round/step'
import { patternOf } from '../../readers/words/pattern'
import { cardOf, CARDS } from './cards'

describe('where the hook goes', () => {
  it.each(CARDS.map(card => [card.id, card] as const))(
    '%s is drawn within its frame, with something to pick up or a ' + 'way to go',
    (_, card) => {
      const {
        picture: { threads, way, head, width, height },
      } = card
      const all = [...threads, ...way].map(({ path }) => path).join(' ')
      expect(all).toMatch(/^M/)
      expect(all).not.toMatch(/NaN|undefined|--/)
      expect(head.x).toBeGreaterThanOrEqual(-4)
      expect(head.x).toBeLessThanOrEqual(width + 4)
      expect(head.y).toBeGreaterThanOrEqual(-4)
      expect(head.y).toBeLessThanOrEqual(height + 4)
      const last = /(-?[\d.]+) (-?[\d.]+)$|V(-?[\d.]+)$/.exec(way.at(-1)!.path)!
      // The arrow's head stands at the end of its way.
      expect(Math.abs(Number(last[2] ?? last[3]) - head.y)).toBeLessThanOrEqual(2)
    },
  )

  it('is told in two or three sentences, the same for both hands', () => {
    for (const { says, name } of CARDS) {
      expect(says.match(/[.!](?= |$)/g)!.length, says).toBeGreaterThanOrEqual(2)
      expect(says.match(/[.!](?= |$)/g)!.length, says).toBeLessThanOrEqual(3)
      expect(says).not.toMatch(/\b(left|right)\b(?! sides? up)/)
      expect(name).not.toBe('')
    }
    expect(new Set(CARDS.map(({ id }) => id)).size).toBe(CARDS.length)
  })

  it('has a card for every set of threads that a stitch can pick up', () => {
    for (const loop of LOOPS) expect(cardOf(loop as never), loop).toBeDefined()
  })

  it('is shown for what a pattern uses, line by line, and for nothing else', () => {
    for (const design of [...demoDesigns().map(one => one.design), ...randomDesigns(30)]) {
      const { cards, sections } = patternOf(draft(design), 'us')
      const used = new Set(sections.flatMap(({ lines }) => lines.flatMap(line => line.cards)))
      for (const id of used) expect(cards).toContain(id)
      const beyond = cards.filter(id => !used.has(id))
      const seams = ['whipSeam', 'slipSeam', 'mattressSeam', 'backStitch', 'bothLayers']
      for (const id of beyond) expect(['both', 'foundationSc', 'colourChange', ...seams]).toContain(id)
    }
  })

  it('knows what the words of a line say', () => {
    const net = demoDesigns().find(({ name }) => name === 'onion-net.json')!.design
    const lines = patternOf(draft(net), 'us').sections.flatMap(section => section.lines)
    expect(lines.find(({ words }) => words.includes('to close the last loop'))!.cards).toContain('closing')
    expect(lines.find(({ words }) => words.includes('in ring'))!.cards).toEqual(['ring'])
    expect(lines.find(({ words }) => words.includes('sc in each st around'))!.cards).toEqual([])
  })
})
