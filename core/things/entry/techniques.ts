import { card } from './card'
import { chainOf, picture, row, stitch, type Thread } from './picture'

export const ring = card({
  id: 'ring', name: 'The adjustable ring',
  says:
    'Lay the yarn in a ring, its end behind, and work the first round into the ring around both threads. Pull the end: the '
    + 'ring closes.',
  picture: picture(
    80,
    76,
    [{ path: 'M40 20a24 24 0 1 0 0.1 0', lit: true }, { path: 'M58 28C66 36 72 50 76 68' }, ...stitch(22, 16, [], 14)],
    [{ path: 'M44 74C44 62 44 54 44 46' }, { path: 'M44 46C44 34 44 22 44 10', behind: true }],
    { x: 44, y: 9, degrees: -90 },
  ),
})

export const foundationSc = card({
  id: 'foundationSc', name: 'Foundation {sc}',
  says:
    'Chain and stitch in one: draw up a loop in the chain below, make one chain of it, and finish the {sc} upon that. The next one '
    + 'goes under the two threads of that little chain.',
  picture: picture(84, 62, [...row(3, 20), ...chainOf(4, 6, 52, ['upper', 'lower'])], [{ path: 'M82 40C74 44 66 48 58 50' }], {
    x: 57, y: 50, degrees: 170,
  }),
})

export const colourChange = card({
  id: 'colourChange', name: 'Changing the yarn',
  says:
    'Work the last stitch in the old yarn until two loops remain on the hook, and draw the new yarn through both. The V on top '
    + 'is then in the new yarn, and so is all that follows.',
  picture: picture(
    76,
    64,
    [
      ...stitch(18, 26), ...stitch(38, 26), { path: 'M44 20C52 14 60 12 72 10', lit: true }, { path: 'M44 24C54 22 62 26 72 34' },
      { path: 'M30 16C36 10 44 12 48 18', lit: true },
    ],
    [{ path: 'M70 18C60 16 52 17 44 21' }],
    { x: 43, y: 21, degrees: 165 },
  ),
})

export const backwards = card({
  id: 'backwards', name: 'Reverse stitch',
  says:
    'Do not turn. Work into the stitch that lies behind the last one, against the way of the rounds, and let the two loops cross '
    + 'on the hook.',
  picture: picture(92, 60, row(4, 28, ['front', 'back'], 2), [{ path: 'M22 12C32 2 46 4 54 16' }, { path: 'M54 16C56 22 56 26 56 34' }], {
    x: 56, y: 35, degrees: 90,
  }),
})

const EDGES: readonly Thread[] = [0, 1, 2, 3].flatMap(i => [...stitch(14 + i * 20, 56, [], 18)])

export const whipSeam = card({
  id: 'whipSeam', name: 'Whip stitch, there and back',
  says:
    'Lay the edges together and sew over both, one stitch in each pair of V\'s. Come back through the same holes: the stitches '
    + 'cross and hold.',
  picture: picture(
    92,
    84,
    [
      ...EDGES,
      ...[0, 1, 2].map((i): Thread => ({
        path: `M${14 + i * 20} 62C${18 + i * 20} 44 ${26 + i * 20} 40 ` + `${32 + i * 20} 50`,
        lit: true,
      })),
    ],
    [{ path: 'M74 66C76 46 82 36 88 30' }],
    { x: 88, y: 29, degrees: -54 },
  ),
})

export const mattressSeam = card({
  id: 'mattressSeam', name: 'Mattress stitch',
  says:
    'Lay the edges side by side, right sides up, and go under a thread of one edge, then under the one opposite, to and fro. Pull '
    + 'it close every few stitches: the seam vanishes.',
  picture: picture(
    92,
    72,
    [0, 1, 2].flatMap((i): Thread[] => [
      { path: `M8 ${12 + i * 22}C22 ${8 + i * 22} 32 ${10 + i * 22} 38 ` + `${16 + i * 22}` },
      { path: `M84 ${12 + i * 22}C70 ${8 + i * 22} 60 ${10 + i * 22} 54 ` + `${16 + i * 22}` },
      { path: `M34 ${15 + i * 22}C42 ${10 + i * 22} 50 ${22 + i * 22} 58 ` + `${17 + i * 22}`, lit: true },
    ]),
    [{ path: 'M58 62C50 68 42 60 34 54' }],
    { x: 33, y: 53, degrees: -142 },
  ),
})

export const backStitch = card({
  id: 'backStitch', name: 'Back stitch',
  says:
    'Bring the needle up one stitch ahead, and go down again where the last stitch ended. Every stitch goes back over the one '
    + 'before: a line that holds a strap.',
  picture: picture(
    96,
    44,
    [{ path: 'M4 34H92' }, ...[0, 1, 2].map((i): Thread => ({ path: `M${10 + i * 26} 20H${32 + i * 26}`, lit: true }))],
    [{ path: 'M88 20C80 8 72 8 64 16' }],
    { x: 63, y: 17, degrees: 135 },
  ),
})

export const slipSeam = card({
  id: 'slipSeam', name: 'Slip stitch seam',
  says:
    'Lay the edges together, put the hook under the V of both, and draw the yarn through everything at once. Work loosely: the '
    + 'seam must give as much as the fabric.',
  picture: picture(
    92,
    84,
    [
      ...EDGES,
      ...[0, 1, 2].map((i): Thread => ({
        path: `M${12 + i * 20} 40C${16 + i * 20} 34 ${26 + i * 20} 34 ` + `${32 + i * 20} 40`,
        lit: true,
      })),
    ],
    [{ path: 'M76 76C76 64 76 54 77 44' }],
    { x: 77, y: 43, degrees: -86 },
  ),
})
