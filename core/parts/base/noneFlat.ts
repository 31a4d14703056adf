import { choice, optional } from '../field/questions'

/** Asked where increases follow the gauge: which of two numbers is taken if neither lies flat. */
export function noneFlatChoice(when: (spec: object) => boolean) {
  return optional(choice(
    'Where no number lies flat',
    [
      { value: 'nearest', name: 'the nearest', does: 'It may cup a little.' },
      { value: 'more', name: 'the larger', does: 'Its edge warps a little, and settles by patting.' },
    ],
    { when, says: 'Of two numbers of increases neither of which lies flat in the gauge; the nearest if left out.' },
  ))
}
