import { BOX_FIELDS, boxRoom } from './box'
import { content, ON_CORNERS } from './content'

/** Folded cloth: it gives way, and falls through nothing. */
export const cloth = content({
  kind: 'cloth', name: 'folded cloth', fields: BOX_FIELDS, begins: { kind: 'cloth', lengthCm: 30, widthCm: 20, heightCm: 10 },
  room: boxRoom, called: () => 'The cloth', soft: true, drawn: 'bundle',
  standsOn: (_, square) => (square ? ON_CORNERS : { form: 'oval', why: 'Soft things settle into an oval.' }),
})
