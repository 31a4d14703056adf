import { exported } from '../../core/readers/export/kind'

/** The exercise of a new export: the counts alone, a line a round, for a slip of paper. */
export const counts = exported({
  as: 'counts', name: 'Counts alone', type: 'text/plain', extension: 'counts.txt',
  write: ({ rounds }) => rounds.map(({ number, worked }) => `${number}\t${worked.edge.count}\n`).join(''),
})
