import { swatches } from '../../db/shelves'

/** Every swatch, the last changed first. */
export default defineEventHandler(() => swatches().list())
