import { asRecord } from '../words/asJson'
import { exported } from './kind'

/** The whole draft, for other programs. */
export const record = exported({
  as: 'json', name: 'Draft for other programs', type: 'application/json', extension: 'draft.json',
  write: (draft, terms, repeats) => JSON.stringify(asRecord(draft, terms, repeats), null, 2) + '\n',
})
