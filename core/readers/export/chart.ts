import { asSvg } from '../chart/svg'
import { exported } from './kind'

/** The chart as a picture. */
export const chart = exported({
  as: 'svg', name: 'Chart as a picture', type: 'image/svg+xml', extension: 'svg', write: draft => asSvg(draft),
})
