import { between, length } from '../field/questions'
import { CONTENT_CM } from '../field/bounds'
import { content, ON_A_DISC } from './content'

/** A bottle or a jar. */
export const bottle = content({
  kind: 'bottle', name: 'a bottle or jar',
  fields: {
    acrossCm: length('Across', CONTENT_CM, { beside: true, usually: between(1, 30) }),
    heightCm: length('Height', CONTENT_CM, { beside: true, usually: between(1, 50) }),
  },
  begins: { kind: 'bottle', acrossCm: 8, heightCm: 30 },
  room: ({ acrossCm, heightCm }) => ({ lengthCm: acrossCm, widthCm: acrossCm, heightCm, round: true }),
  leastThroughCm: ({ acrossCm }) => acrossCm, called: () => 'The bottle', standsOn: () => ON_A_DISC, drawn: 'bottle',
})
