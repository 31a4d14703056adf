import { card } from './card'
import { chainFromBehind, picture, row } from './picture'

/** Up under both threads of the V, from the front. */
export const both = card({
  id: 'both', name: 'Both loops',
  says: 'Put the hook in from the front under both threads of the V, and out behind. This is meant wherever nothing else is said.',
  picture: picture(
    72,
    62,
    row(3, 26, ['front', 'back']),
    [{ path: 'M36 58C36 48 36 42 36 34' }, { path: 'M36 34C36 24 37 16 38 8', behind: true }],
    { x: 38, y: 7, degrees: -84 },
  ),
})

export const front = card({
  id: 'front', name: 'Front loop',
  says: 'Take only the thread of the V that lies towards you. The back one stays free as a line on the far side.',
  picture: picture(72, 62, row(3, 26, ['front']), [{ path: 'M36 56C36 46 36 42 36 35' }, { path: 'M36 35C36 30 37 27 38 22' }], {
    x: 38, y: 21, degrees: -80,
  }),
})

export const back = card({
  id: 'back', name: 'Back loop',
  says:
    'Put the hook in between the two threads of the V and take only the one that lies away from you. The front one stays free '
    + 'as a line.',
  picture: picture(
    72,
    62,
    row(3, 26, ['back']),
    [{ path: 'M30 44C33 38 35 33 36 27' }, { path: 'M36 27C36 20 37 14 38 7', behind: true }],
    { x: 38, y: 6, degrees: -84 },
  ),
})

export const backAndThird = card({
  id: 'backAndThird', name: 'Back and third loops',
  says: 'Tip the work towards you: behind the V lies a third thread, a small bar. Take the back thread of the V and that bar together.',
  picture: picture(
    72,
    62,
    row(3, 30, ['back', 'third']),
    [{ path: 'M30 48C33 42 35 37 36 31' }, { path: 'M36 31C36 22 37 14 38 6', behind: true }],
    { x: 38, y: 5, degrees: -84 },
  ),
})

export const frontPost = card({
  id: 'frontPost', name: 'Around the post, from the front',
  says:
    'Put the hook in from the front on the side you come from, behind the stem, and out again on the side you go to. The stem '
    + 'stands out towards you.',
  picture: picture(
    72,
    62,
    row(3, 18, ['stem']),
    [{ path: 'M54 52C50 42 47 38 44 34' }, { path: 'M44 34C39 31 34 31 29 34', behind: true }, { path: 'M29 34C25 37 22 42 20 48' }],
    { x: 20, y: 49, degrees: 112 },
  ),
})

export const backPost = card({
  id: 'backPost', name: 'Around the post, from the back',
  says:
    'Put the hook in from the back on the side you come from, across in front of the stem, and out behind on the side you go to. '
    + 'The stem is pushed away from you.',
  picture: picture(
    72,
    62,
    row(3, 18, ['stem']),
    [
      { path: 'M56 22C52 28 48 31 44 33', behind: true }, { path: 'M44 33C39 37 34 37 29 33' },
      { path: 'M29 33C25 30 21 26 18 21', behind: true },
    ],
    { x: 17, y: 20, degrees: -122 },
  ),
})

export const bump = card({
  id: 'bump', name: 'Back bump of the chain',
  says:
    'Turn the chain over: along its back runs a row of little bumps. Take one bump for each stitch, and the chain\'s V\'s stay '
    + 'free below.',
  picture: picture(
    96,
    46,
    chainFromBehind(5, 2, 20),
    [{ path: 'M44 44C45 36 46 30 47 26' }, { path: 'M47 26C48 20 48 14 48 8', behind: true }],
    { x: 48, y: 7, degrees: -90 },
  ),
})

export const bothLayers = card({
  id: 'bothLayers', name: 'Through both layers',
  says:
    'Lay the two pieces together, edge on edge. Put the hook under both threads of the V of the near one, then of the far one, and '
    + 'work the stitch through all four.',
  picture: picture(
    72,
    78,
    [...row(3, 20, ['front', 'back']), ...row(3, 46, ['front', 'back'])],
    [{ path: 'M36 76C36 66 36 60 36 54' }, { path: 'M36 54C36 38 37 22 38 6', behind: true }],
    { x: 38, y: 5, degrees: -86 },
  ),
})

export const backAndFar = card({
  id: 'backAndFar', name: 'Back loop of the near, both of the far',
  says:
    'Lay the two pieces together, edge on edge. Put the hook under the back thread of the near V alone, then under both threads of the far '
    + 'one, and work the stitch through all three: the near one\'s front threads stand as a fine line.',
  picture: picture(
    72,
    78,
    [...row(3, 20, ['back']), ...row(3, 46, ['front', 'back'])],
    [{ path: 'M36 76C36 66 36 60 36 54' }, { path: 'M36 54C36 38 37 22 38 6', behind: true }],
    { x: 38, y: 5, degrees: -86 },
  ),
})
