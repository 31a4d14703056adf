import { versions } from '../../../../db/repositories'

/** Earlier states of a bag, at the end of sittings, the latest first. */
export default defineEventHandler(event => versions().list(getRouterParam(event, 'id')!))
