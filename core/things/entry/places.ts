import { card } from './card'
import { arc, chainOf, picture, row, stitch, type Thread } from './picture'

export const space = card({
  id: 'space', name: 'Into a chain space',
  says: 'Put the hook into the hole under the chains, not into a chain. The stitches then wrap the whole chain and can slide along it.',
  picture: picture(
    84,
    62,
    [...stitch(14, 24), ...stitch(70, 24), ...arc(20, 66, 20, true)],
    [{ path: 'M42 60C42 48 42 34 42 24' }, { path: 'M42 24C42 14 43 8 43 3', behind: true }],
    { x: 43, y: 2, degrees: -88 },
  ),
})

export const singleChain = card({
  id: 'singleChain', name: 'Into the chains one by one',
  says:
    'Work into each chain of the space by itself, under one thread of it or under two. Count them: there are as many stitches '
    + 'as chains.',
  picture: picture(
    96,
    46,
    chainOf(5, 2, 20, ['upper']),
    [{ path: 'M44 42C45 34 46 28 46 20' }, { path: 'M46 20C46 14 47 9 47 4', behind: true }],
    { x: 47, y: 3, degrees: -88 },
  ),
})

export const gap = card({
  id: 'gap', name: 'Between two stitches',
  says:
    'Put the hook in between two stems, below the V\'s, into the gap and into no stitch. Nothing is used up: the V\'s stay as '
    + 'they were.',
  picture: picture(
    76,
    62,
    [...stitch(18, 20), ...stitch(58, 20)],
    [{ path: 'M38 60C38 50 38 44 38 38' }, { path: 'M38 38C38 26 38 16 38 8', behind: true }],
    { x: 38, y: 7, degrees: -90 },
  ),
})

export const below = card({
  id: 'below', name: 'One round below',
  says:
    'Go past the stitch that comes next, and into the place that it stands on, one round lower. Draw the loop up to the height of '
    + 'this round before you go on.',
  picture: picture(
    72,
    92,
    [...row(3, 52, ['front', 'back']), ...row(3, 20)],
    [{ path: 'M36 90C36 80 36 70 36 60' }, { path: 'M36 60C36 52 37 46 38 40', behind: true }],
    { x: 38, y: 39, degrees: -86 },
  ),
})

export const gapBelow = card({
  id: 'gapBelow', name: 'Into a stitch skipped in the round below',
  says:
    'Between the groups of the last round lie stitches that it skipped. Reach down into the one named, over the gap, and draw the '
    + 'loop up to this round\'s height.',
  picture: picture(
    104,
    92,
    [...row(5, 54, ['front', 'back']), ...stitch(16, 18), ...stitch(88, 18)],
    [{ path: 'M56 90C56 80 56 70 56 62' }, { path: 'M56 62C56 54 57 48 58 42', behind: true }],
    { x: 58, y: 41, degrees: -86 },
  ),
})

export const underside = card({
  id: 'underside', name: 'Underside of the chain',
  says:
    'When one side of the chain is worked, go on along the other: turn the piece so that the foundation is on top. One thread of '
    + 'every chain is still free; take that, and the tail of yarn in with it.',
  picture: picture(
    96,
    60,
    [
      ...chainOf(5, 2, 16, ['upper']),
      ...[12, 30, 48, 66, 84].flatMap((x): Thread[] => [
        { path: `M${x - 2} 22C${x - 4} 34 ${x - 5} 44 ` + `${x - 5} 54` },
        { path: `M${x + 4} 22C${x + 5} 34 ${x + 6} 44 ` + `${x + 6} 54` },
      ]),
    ],
    [{ path: 'M46 40C46 32 46 24 46 14' }, { path: 'M46 14C46 10 47 7 47 4', behind: true }],
    { x: 47, y: 3, degrees: -88 },
  ),
})

export const rowEnd = card({
  id: 'rowEnd', name: 'Into the ends of rows',
  says:
    'Along the side there are no V\'s: put the hook in under two threads at the end of a row, at the same depth every time. One '
    + 'stitch a row end; where the words draw two together, it is because rows are lower than stitches are wide.',
  picture: picture(
    64,
    84,
    [0, 1, 2].flatMap((i): Thread[] => [
      { path: `M54 ${14 + i * 24}C38 ${8 + i * 24} 30 ${10 + i * 24} 26 ` + `${18 + i * 24}`, ...(i === 1 ? { lit: true as const } : {}) },
      { path: `M26 ${18 + i * 24}C24 ${26 + i * 24} 34 ${30 + i * 24} 54 ` + `${30 + i * 24}`, ...(i === 1 ? { lit: true as const } : {}) },
    ]),
    [{ path: 'M6 50C14 49 22 48 30 47' }, { path: 'M30 47C40 46 48 46 58 46', behind: true }],
    { x: 59, y: 46, degrees: 0 },
  ),
})

export const aroundChain = card({
  id: 'aroundChain', name: 'Around the handle\'s chain',
  says:
    'Put the hook under the whole chain of the handle and pull the yarn up round it. Push the stitches together until the number '
    + 'said lies on the chain.',
  picture: picture(
    96,
    56,
    [...stitch(12, 44, [], 14), ...stitch(84, 44, [], 14), ...arc(14, 82, 40, true)],
    [{ path: 'M48 54C48 44 48 34 48 26' }, { path: 'M48 26C48 16 49 8 49 3', behind: true }],
    { x: 49, y: 2, degrees: -88 },
  ),
})

export const closing = card({
  id: 'closing', name: 'Closing a round of a net',
  says:
    'The last loop is half chains, half a tall stitch that goes into the round\'s first stitch. The hook then stands at the top of '
    + 'that loop, where the next round begins: mark it.',
  picture: picture(
    96,
    62,
    [
      ...stitch(12, 44, ['front', 'back'], 14), ...stitch(84, 44, [], 14), ...arc(48, 86, 40),
      { path: 'M48 24C36 28 22 34 14 42', lit: true }, { path: 'M46 20C32 24 18 32 10 40', lit: true },
    ],
    [{ path: 'M50 14C36 16 22 24 12 34' }],
    { x: 11, y: 35, degrees: 138 },
  ),
})

export const together = card({
  id: 'together', name: 'Drawn together',
  says:
    'Work the first stitch until its last pull-through, leave the loop on the hook, and begin the next stitch in the next place. '
    + 'Then draw the yarn through all the loops at once: two stems, one V.',
  picture: picture(
    84,
    78,
    [
      ...stitch(24, 52, ['front', 'back']), ...stitch(60, 52, ['front', 'back']), { path: 'M42 18C36 30 30 38 25 46' },
      { path: 'M44 18C50 30 56 38 61 46' }, { path: 'M33 12C37 6 47 6 53 12' }, { path: 'M33 13C37 19 47 20 53 13' },
    ],
    [{ path: 'M8 60C14 60 19 58 24 52' }, { path: 'M30 46C40 40 50 42 60 52' }],
    { x: 61, y: 53, degrees: 44 },
  ),
})

export const hole = card({
  id: 'hole', name: 'Into the holes of a floor',
  says:
    'Put the hook through a hole from above, catch the yarn below, and draw it up long enough to stand over the floor\'s edge. '
    + 'Work the number said into every hole, corners included.',
  picture: picture(
    92,
    56,
    [
      { path: 'M4 30H88' }, { path: 'M4 46H88' },
      ...[20, 46, 72].map((x): Thread => ({
        path: `M${x - 5} 38a5 5 ` + '0 1 0 10 0a5 5 0 1 0 -10 0',
        ...(x === 46 ? { lit: true as const } : {}),
      })),
    ],
    [{ path: 'M46 6C46 16 46 26 46 37' }, { path: 'M46 37V52', behind: true }],
    { x: 46, y: 53, degrees: 90 },
  ),
})

export const foundationChain = card({
  id: 'chain', name: 'Into a chain to begin with',
  says:
    'Hold the chain with its V\'s towards you and count from the hook, the loop on the hook not counted. Put the hook under the '
    + 'upper thread and the bump behind it, or under the upper thread alone: the same all along.',
  picture: picture(
    96,
    46,
    chainOf(5, 2, 20, ['upper', 'bump']),
    [{ path: 'M47 42C47 34 47 28 47 20' }, { path: 'M47 20C47 14 48 9 48 4', behind: true }],
    { x: 48, y: 3, degrees: -88 },
  ),
})
