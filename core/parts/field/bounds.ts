import { between } from './questions'

/*
 * Bounds that several kinds of part share; a kind's own stand in its declaration.
 */

export const DIAMETER_CM = between(1, 150)
export const HEIGHT_CM = between(0.2, 200)
export const AROUND_CM = between(2, 400)
export const PINNED_ROUNDS = between(1, 1000)
export const WALL_STITCHES = between(3, 2000)
export const CORD_CM = between(10, 400)
export const WEIGHT_KG = between(0.01, 50)
export const CONTENT_CM = between(0.5, 150)
