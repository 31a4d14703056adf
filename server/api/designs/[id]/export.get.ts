import { draft } from '../../../../core/draft/draft'
import { exportDraft } from '../../../../core/export/exportDraft'
import { designs } from '../../../db/shelves'
import { asked, ExportQuery } from '../../../requests/asked'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument, sendFile } from '../../../requests/sendFile'

/** A design as a file: the open document, or its pattern in one of the forms. */
export default defineEventHandler((event) => {
  const { as, terms, repeats } = asked(ExportQuery, getQuery(event))
  const { document } = designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')
  return as === 'design' ? sendDocument(event, document) : sendFile(event, document.name, exportDraft(draft(document), as, terms, repeats))
})
