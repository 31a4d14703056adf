import { designs } from '../../db/repositories'
import { answerJson } from '../../requests/answer'
import { refuseUnknown } from '../../requests/refuse'

/** One design. */
export default defineEventHandler(event => answerJson(event, designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')))
