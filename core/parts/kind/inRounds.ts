import { between, choice, count, figure, maybe, optional } from '../field/questions'
import { SPIRAL_LEAN, type Rounds } from '../../things/round/style'

/*
 * How rounds go: asked of the bag as a whole, and of any part that goes in a way of its own (craft 2).
 */

/**
 * The questions of how rounds go.
 *
 * @param of what a spec says of it so far
 */
export function roundsFields(of: (spec: object) => Pick<Rounds, 'style'> | undefined) {
  const goes = (...styles: readonly Rounds['style'][]) => (spec: object) => {
    const style = of(spec)?.style
    return style !== undefined && styles.includes(style)
  }
  return {
    style: choice(
      'Rounds go',
      [
        {
          value: 'spiral', name: 'in a spiral',
          does: 'No join; a marker in the first stitch. Leaves a half-step at the top and where the yarn changes.',
        },
        {
          value: 'joined', name: 'joined',
          does: 'A slip stitch closes each round, the same side facing. Clean V\'s outside; the seam leans steadily.',
        },
        { value: 'turned', name: 'joined and turned', does: 'Turned after every join: the seam stays straight and both sides look alike.' },
      ],
      { begins: 'joined' },
    ),
    startingChainCounts: choice<boolean | 'tall'>(
      'At the start of a round',
      [
        { value: false, name: 'the chain does not count', does: 'The first stitch goes in the stitch you joined to; leave the chain '
          + 'alone.' },
        { value: true, name: 'the chain counts as a stitch', does: 'The chain is the first stitch; the next one goes in the next stitch.' },
        { value: 'tall', name: 'it counts in {dc} and {tr}', does: 'The usual custom: 3 or 4 chains are a {dc} or a {tr}, 1 or 2 are '
          + 'never a stitch.' },
      ],
      { begins: false, when: goes('joined', 'turned') },
    ),
    startingChains: optional(
      count('Chains at a round\'s start, if not as tall as its stitch', between(1, 6), {
        usually: between(1, 4), when: goes('joined', 'turned'),
        says: 'Chains at the start of a round, whatever its stitch: 1 where the loop is drawn up instead. Left out, as many as it is tall.',
      }),
    ),
    firstStitch: optional(
      choice(
        'After turning, the first stitch goes',
        [
          { value: 'joined', name: 'where the join is', does: 'In the stitch joined to; the chain beside it is left alone.' },
          { value: 'last', name: 'past the join', does: 'Past chain and join, in the last stitch of the round before; the chain does not '
            + 'count.' },
        ],
        { when: goes('turned'), says: 'Where the first stitch of a turned round goes. Both give the same count; mixing them does not.' },
      ),
    ),
    turnsAfter: optional(
      count('Rounds before turning begins', between(0, 200), {
        usually: between(0, 3), when: goes('turned'), says: 'So many first rounds are not turned yet.',
      }),
    ),
    leanPerTen: optional(
      figure('The start leaned, in ten rounds', between(-20, 20), 'sts', {
        usually: between(-6, 6), when: goes('joined', 'spiral'),
        says: 'Stitches that the start of the rounds leaned over ten of them, back from the way they are worked; the bag\'s sides move '
          + `with it. Left out: none of joined rounds, ${SPIRAL_LEAN} of a spiral.`,
      }),
    ),
  } as const
}

/** How the rounds of a part go, where they go otherwise than the bag's. */
const GOES = maybe(
  'Its rounds go',
  roundsFields(spec => (spec as { readonly goes?: Rounds }).goes),
  {
    without: { name: 'as the bag\'s do' }, having: { name: 'in a way of their own' }, lead: 'style', usuallyNot: true,
    says: 'How the rounds of this part go, where they go otherwise than the bag\'s.',
    begin: { style: 'joined', startingChainCounts: false },
  },
)

/** Fields of every part that is worked in rounds. */
export const IN_ROUNDS = { goes: GOES } as const
