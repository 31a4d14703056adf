import { designs } from '../../../db/repositories'
import { paperFonts } from '../../../paper/fonts'
import { askedBefore, ExportQuery } from '../../../requests/requestShapes'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument, sendFile } from '../../../requests/sendFile'
import { gramsTaught } from '../../../../core/making/log/skill'
import { cachedSkill } from '../../../jobs/skillCache'
import { runJob } from '../../../jobs/workerPool'

/** A design as a file: the open document, its pattern in one of the forms or on paper, or everything in one parcel. */
export default defineEventHandler(async (event) => {
  const { as, terms, repeats, paper, large } = askedBefore(ExportQuery, getQuery(event))
  const { document: design, unreadable } = designs().find(getRouterParam(event, 'id')!) ?? refuseUnknown('design')
  if (as === 'design') return sendDocument(event, design)
  if (unreadable)
    throw createError({ statusCode: 422, message: `This bag cannot be drafted, but it can be saved as it is: ${unreadable.join('; ')}` })
  const printed = as === 'pdf' || as === 'zip'
  const { body, type, extension } = await runJob('export', {
    design, taught: gramsTaught((await cachedSkill()).hands),
    wish: { as, terms, repeats, paper, large: large === 'yes' }, ...(printed ? { fonts: await paperFonts() } : {}),
  })
  return sendFile(event, design.name, { body, type, extension })
})
