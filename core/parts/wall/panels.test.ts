import { describe, expect, it } from 'vitest'
import type { Design } from '../../bag/design/design'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { elevation } from '../../readers/chart/elevation'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { patternOf } from '../../readers/words/pattern'

/* Half a centimetre wide and half a centimetre tall a single crochet (invented; dc twice as tall, craft 4, from memory). */
const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }

/** A bought floor of 48 holes, two in each: 96 stitches; front and back of 36, sides of 12, in boxes between plain ends. */
const bag = (panels: object): Design => ({
  ...newDesign('Panels'), gauge, turnUp: 'plain',
  base: {
    form: 'bought', stitch: 'sc', colour: 'main', shape: 'oblong', lengthCm: 18, widthCm: 6, holes: 48, perHole: 2, doubledHoles: 0,
  },
  wall: [
    {
      id: 'part-1', kind: 'panels', colour: 'main', seam: 'sc', sides: { pin: { stitches: 12 } },
      bands: [
        { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 8 } }, colour: 'main' },
        { kind: 'narrow', stitch: 'sc', way: 'narrower', every: 4, size: { pin: { rounds: 12 } }, colour: 'main' },
      ],
      ...panels,
    },
  ],
}) as unknown as Design

describe('panels on a floor (craft 5)', () => {
  const made = draft(bag({}))
  const part = made.parts.at(-1)!

  it('shares 96 out as 36 and 12 and 36 and 12, takes six away from the front, and joins them in one round, by hand', () => {
    expect(made.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    const [front, side] = part.pieces
    expect([front!.rows[0]!.on.count, side!.rows[0]!.on.count]).toEqual([36, 12])
    expect(front!.rows.at(-1)!.edge.count).toBe(30)
    expect(side!.rows).toHaveLength(20)
    // 2 · 30 + 2 · 12.
    expect(part.edge.count).toBe(84)
    expect(part.size.height.cm).toBeCloseTo(21 * 0.5, 9)
    expect(made.sizes.height.cm).toBeCloseTo(0.5 + 10.5, 9)
  })

  it('says where each is joined: half a side panel after the start the front, half a round on the back', () => {
    const leads = patternOf(made, 'us').sections.flatMap(({ lead }) => lead ?? [])
    expect(leads.find(lead => lead.includes('sts 7–42'))).toContain('sts 55–90')
    expect(leads.find(lead => lead.includes('sts 91–96 and 1–6'))).toContain('sts 43–54')
  })

  it('tells its panels before the round about them, in the pattern and in the drawing', () => {
    const titles = patternOf(made, 'us').sections.map(({ title }) => title)
    expect(titles.indexOf('Front and back: make 2')).toBeLessThan(titles.findIndex(title => title === 'Panels'))
    const courses = elevation(made).filter(course => course.part === part.id)
    expect(courses).toHaveLength(21)
    expect(courses.reduce((sum, { heightCm }) => sum + heightCm, 0)).toBeCloseTo(10.5, 9)
  })

  it('counts the yarn of all four: twice 20 rows of front and side, and 84 once more', () => {
    const [front, side] = part.pieces
    const of = (rows: readonly { readonly edge: { readonly count: number } }[]) => rows.reduce((sum, { edge }) => sum + edge.count, 0)
    const [main] = yarnNeeds(made)
    expect(main!.stitches).toBe(96 + 2 * of(front!.rows) + 2 * of(side!.rows) + 84)
  })

  it('finds the side panel on which rows of a pattern come out: boxes over two and one more, on 48 a half', () => {
    const boxes = [{ kind: 'boxes', chains: 1, finish: true, size: { pin: { rounds: 6 } }, colour: 'main' }]
    const found = draft(bag({ bands: boxes, sides: { want: { widthCm: 6 } } })).parts.at(-1)!
    const [front, side] = found.pieces
    expect([front!.rows[0]!.on.count, side!.rows[0]!.on.count]).toEqual([35, 13])
  })

  it('says what is in the way: an odd edge, and bands that no count does for', () => {
    const odd = bag({ bands: [{ kind: 'boxes', chains: 1, finish: false, size: { pin: { rounds: 4 } }, colour: 'main' }, { kind: 'pairs',
      size: { pin: { rounds: 4 } }, colour: 'main' }] })
    expect(draft(odd).findings.map(({ code }) => code)).toContain('bands-disagree')
  })

  it('is written to a file and read again', () => {
    const design = bag({})
    const read = readDesign(JSON.parse(JSON.stringify(design)))
    expect(read.ok && read.document.wall).toEqual(design.wall)
  })
})
