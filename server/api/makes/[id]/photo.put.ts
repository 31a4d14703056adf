import { plainJpeg } from '../../../db/photoText'
import { logbook, makes } from '../../../db/repositories'
import { bytesOf } from '../../../requests/body'
import { refuseUnknown } from '../../../requests/refuse'

/** The page makes a photo small before it sends it. */
const MOST_PHOTO_BYTES = 500_000

/** Keeps a photo of a bag, without anything that the camera wrote beside it. */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id')!
  const bytes = await bytesOf(event, MOST_PHOTO_BYTES)
  if (!makes().find(id)) refuseUnknown('make')
  const jpeg = plainJpeg(new Uint8Array(bytes))
  if (!jpeg) throw createError({ statusCode: 422, statusMessage: 'No photo', message: 'This is no JPEG picture, or it is cut short.' })
  logbook().keepPhoto(id, jpeg)
  return { bytes: jpeg.length }
})
