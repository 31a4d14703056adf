import { readDesign } from '../../../../../core/bag/design/read'
import { designs, versions } from '../../../../db/repositories'
import { refuseOvertaken, refuseUnknown, soundOr422 } from '../../../../requests/refuse'
import { drawSoon } from '../../../../jobs/portraits'

/** Returns a bag to what it was; what it is now is kept as a version first. */
export default defineEventHandler((event) => {
  const id = getRouterParam(event, 'id')!
  const { revision } = designs().find(id) ?? refuseUnknown('design')
  const before = versions().find(id, Number(getRouterParam(event, 'revision')))
  if (before === undefined) return refuseUnknown('version')
  const design = soundOr422(readDesign(before))
  versions().keepNow(id)
  const saved = designs().save(id, revision, design)
  if (!saved.kept) return refuseOvertaken('design')
  drawSoon(id)
  return designs().find(id)
})
