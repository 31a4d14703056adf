import { makes } from '../../db/shelves'

/** Every bag on the hook, the last touched first. */
export default defineEventHandler(() => makes().list())
