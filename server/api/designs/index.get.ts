import { designs } from '../../db/shelves'

/** Every design, the last changed first. */
export default defineEventHandler(() => designs().list())
