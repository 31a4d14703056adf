import { draft } from '../../../../core/draft/draft'
import { exportDraft } from '../../../../core/export/exportDraft'
import { designs } from '../../../db/shelves'
import { asked, ExportQuery } from '../../../requests/asked'
import { refuseUnknown } from '../../../requests/refuse'

/** A file name that every system takes, from a bag's name. */
function fileName(name: string, extension: string): string {
  const plain = name.normalize('NFKD').replace(/[^a-zA-Z0-9]+/g, '-').replace(/^-+|-+$/g, '').toLowerCase()
  return `${plain || 'bag'}.${extension}`
}

/** A design as a file: the open document, or its pattern in one of the forms. */
export default defineEventHandler((event) => {
  const { as, terms } = asked(ExportQuery, getQuery(event))
  const { document } = designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')
  const { body, type, extension } = as === 'design'
    ? { body: JSON.stringify(document, null, 2) + '\n', type: 'application/json', extension: 'design.json' }
    : exportDraft(draft(document), as, terms)
  setResponseHeaders(event, {
    'Content-Type': `${type}; charset=utf-8`,
    'Content-Disposition': `attachment; filename="${fileName(document.name, extension)}"`,
  })
  return body
})
