import type { Stitch } from '../../core/things/stitch/stitches'

/** The exercise of a new stitch: the double treble of US terms, a row of the dictionary. */
export const doubleTreble = {
  kind: 'dtr', us: { name: 'double treble crochet', abbreviation: 'dtr' }, uk: { name: 'triple treble', abbreviation: 'trtr' },
  heightChains: 5, heightInSc: 3.6, yarnPerWidth: 20, mark: { is: 'stem', across: [1], slanted: [0.35, 0.5, 0.65] }, front: 'stemmed',
} as const satisfies Stitch
