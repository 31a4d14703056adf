import { swatches } from '../../../db/shelves'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument } from '../../../requests/sendFile'

/** A swatch as a file: the open document. */
export default defineEventHandler((event) => {
  const { document } = swatches().find(getRouterParam(event, 'id')!) ?? refuseUnknown('swatch')
  return sendDocument(event, document)
})
