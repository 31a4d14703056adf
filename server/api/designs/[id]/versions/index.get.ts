import { versions } from '../../../../db/repositories'

/** What a bag was at the end of earlier sittings, the latest first. */
export default defineEventHandler(event => versions().list(getRouterParam(event, 'id')!))
