import { draft } from '../../../../core/draft/draft'
import { exportDraft } from '../../../../core/export/exportDraft'
import { patternOf } from '../../../../core/words/pattern'
import { designs } from '../../../db/shelves'
import { paperFonts } from '../../../paper/fonts'
import { parcelOf } from '../../../paper/parcel'
import { patternPdf } from '../../../paper/patternPdf'
import { asked, ExportQuery } from '../../../requests/asked'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument, sendFile } from '../../../requests/sendFile'

/** A design as a file: the open document, its pattern in one of the forms or on paper, or everything in one parcel. */
export default defineEventHandler(async (event) => {
  const { as, terms, repeats, paper, large } = asked(ExportQuery, getQuery(event))
  const { document } = designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')
  if (as === 'design') return sendDocument(event, document)
  const drafted = draft(document)
  if (as !== 'pdf' && as !== 'zip') return sendFile(event, document.name, exportDraft(drafted, as, terms, repeats))
  const pdf = await patternPdf(drafted, patternOf(drafted, terms, repeats), { paper, large: large === 'yes' }, await paperFonts())
  return as === 'pdf'
    ? sendFile(event, document.name, { body: pdf, type: 'application/pdf', extension: 'pdf' })
    : sendFile(event, document.name, { body: parcelOf(drafted, pdf, terms, repeats), type: 'application/zip', extension: 'zip' })
})
