/** Longer than this no side of a kept photo is. */
const MOST_PX = 1000
const QUALITY = 0.8

/**
 * A photo made small, as a JPEG: drawn anew, it holds nothing but the picture.
 *
 * @throws if the file is no picture that the browser can read
 */
export async function smallPhoto(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, MOST_PX / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return new Promise((resolve, reject) => {
    canvas.toBlob(blob => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/jpeg', QUALITY)
  })
}
