import { chain, each, inOne, skip, type GroupStep, type Loop, type StitchStep } from '../round/step'
import type { FabricKind } from '../stitch/dictionary'
import { ANY } from '../part/asks'
import { always, type Texture } from '../texture/texture'

/*
 * The stitch patterns of handbook 7, each a declaration of its repeat. What they ask and give is common practice, with no
 * source; `work` holds every one of them to it (textures.test.ts).
 *
 * In turned work the round starts again at the stitch it was joined to and then meets the others backwards, so that a group
 * of four, `a b c d`, is met as `a d c b`. Where that makes a difference the repeat is said anew.
 */

/** One stitch in every place, round upon round. */
export function solid(stitch: FabricKind): Texture {
  return { asks: ANY, gives: 1, main: stitch, straight: always(each(stitch, 1)) }
}

/** The same in the back loop alone: the front loops stand as ridges. */
export function ridges(stitch: FabricKind): Texture {
  return { asks: ANY, gives: 1, main: stitch, straight: always(each(stitch, 1, 'back')) }
}

function around(kind: FabricKind, times: number, loop: Loop): StitchStep[] {
  return times > 0 ? [each(kind, times, loop)] : []
}

/** Columns of stitches around the post, so many standing out and so many standing back. */
export function rib(stitch: FabricKind, front: number, back: number): Texture {
  const out = around(stitch, front, 'frontPost')
  const inward = around(stitch, back, 'backPost')
  return {
    asks: { multiple: front + back, plus: 0 }, gives: front + back, main: stitch,
    straight: always(...out, ...inward),
    turned: { setUp: [], cycle: [{ repeat: [...out, ...inward] }, { repeat: [...around(stitch, 1, 'frontPost'), ...inward, ...around(stitch, front - 1, 'frontPost')] }] },
  }
}

const inGap = (kind: FabricKind, times: number): GroupStep => ({ do: 'group', aim: 'gap', steps: [each(kind, times)] })

/** Two half doubles in one, then two between each two pairs of the round below. */
export const pairs: Texture = {
  asks: { multiple: 2, plus: 0 }, gives: 2, main: 'hdc',
  straight: { setUp: [{ repeat: [skip(1), inOne('hdc', 2)] }], cycle: [{ repeat: [inGap('hdc', 2), skip(2)] }] },
  turned: { setUp: [{ repeat: [skip(1), inOne('hdc', 2)] }], cycle: [{ repeat: [skip(1), inGap('hdc', 2), skip(1)] }] },
}

const aimed = (kind: FabricKind, aim: 'gap' | 'gapBelow' | 'below'): StitchStep => ({ do: 'stitch', kind, times: 1, aim })
/** Three doubles in a gap; the middle one reaches down to what the round below skipped. */
const threeInGap = [aimed('dc', 'gap'), aimed('dc', 'gapBelow'), aimed('dc', 'gap')] as const

/** Three doubles and three skipped, then three into each gap with a long one in their middle. */
export const groups: Texture = {
  asks: { multiple: 4, plus: 0 }, gives: 3, main: 'dc',
  straight: { setUp: [{ repeat: [inOne('dc', 3), skip(3)] }], cycle: [{ repeat: [...threeInGap, skip(3)] }] },
  turned: { setUp: [{ repeat: [inOne('dc', 3), skip(3)] }], cycle: [{ repeat: [skip(1), ...threeInGap, skip(2)] }] },
}

const vee = (aim?: 'space'): GroupStep => ({ do: 'group', ...(aim ? { aim } : {}), steps: [each('dc', 1), chain(2), each('dc', 1)] })

/** A double, two chains and a double over every three stitches; then the same into each space. */
export const vees: Texture = {
  asks: { multiple: 3, plus: 0 }, gives: 3, main: 'dc',
  straight: { setUp: [{ repeat: [skip(1), vee(), skip(1)] }], cycle: [{ repeat: [vee('space')] }] },
}

const sprig: GroupStep = { do: 'group', steps: [each('sc', 1), each('hdc', 2)] }

/** A single and two half doubles in one, two skipped; with a single of its own at the seam if the maker joins there. */
export function sprigs(seamStitch: boolean): Texture {
  const first = seamStitch ? [each('sc', 1)] : []
  return {
    asks: { multiple: 3, plus: first.length }, gives: 3, main: 'hdc',
    straight: { setUp: [], cycle: [{ first, repeat: [sprig, skip(2)] }] },
    ...(seamStitch ? { turned: { setUp: [], cycle: [{ first, repeat: [skip(2), sprig] }] } } : {}),
  }
}

const fan = inOne('dc', 3)
const single = each('sc', 1)

/** Fans of three doubles with a single between: fans stand on singles, singles on the middles of fans. */
export const waves: Texture = {
  asks: { multiple: 4, plus: 0 }, gives: 4, main: 'dc',
  straight: {
    setUp: [{ repeat: [single, skip(1), fan, skip(1)] }],
    cycle: [{ repeat: [fan, skip(1), single, skip(1)] }, { repeat: [skip(1), single, skip(1), fan] }],
  },
  turned: {
    setUp: [{ repeat: [single, skip(1), fan, skip(1)] }, { repeat: [fan, skip(1), single, skip(1)] }],
    cycle: [{ repeat: [skip(1), fan, skip(1), single] }],
  },
}

/**
 * A double, so many chains and as many skipped; then doubles on doubles. Closed off, if asked, by a round with a stitch in each
 * double and as many in each space as it has chains.
 */
export function boxes(chains: number, finish: boolean): Texture {
  return {
    asks: { multiple: 1 + chains, plus: 0 }, gives: finish ? 1 + chains : 2, main: 'dc',
    straight: { setUp: [{ repeat: [each('dc', 1), chain(chains), skip(chains)] }], cycle: [{ repeat: [each('dc', 1), chain(chains), skip(1)] }] },
    ...(finish ? { finish: { repeat: chains === 1 ? [each('sc', 2)] : [each('sc', 1), inOne('sc', chains)] } } : {}),
  }
}

/** Singles, and doubles that reach down a round, alternating; long ones over short ones. */
export const moss: Texture = {
  asks: { multiple: 2, plus: 0 }, gives: 2, main: 'sc',
  straight: {
    setUp: [{ repeat: [each('sc', 2)] }],
    cycle: [{ repeat: [single, aimed('dc', 'below')] }, { repeat: [aimed('dc', 'below'), single] }],
  },
}
