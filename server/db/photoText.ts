/*
 * Photos of bags are JPEG pictures without anything that the camera wrote beside them: where it was taken, when, on what.
 */

const AS_TEXT = 'data:image/jpeg;base64,'

/** A photo as text, for open documents. */
export function photoText(jpeg: Uint8Array): string {
  return AS_TEXT + Buffer.from(jpeg).toString('base64')
}

/** A photo's bytes from its text. */
export function photoBytes(text: string): Uint8Array {
  return new Uint8Array(Buffer.from(text.slice(AS_TEXT.length), 'base64'))
}

const START_OF_SCAN = 0xDA
const COMMENT = 0xFE
const END = 0xD9

/** Markers of a JPEG file (ISO/IEC 10918-1, annex B) that only programs read: those for applications but the first, and comments. */
function isBeside(marker: number): boolean {
  return (marker > 0xE0 && marker <= 0xEF) || marker === COMMENT
}

/**
 * A JPEG without what was written beside the picture (Exif lies in an application's segment); nothing if it is no JPEG.
 */
export function plainJpeg(bytes: Uint8Array): Uint8Array | undefined {
  if (bytes.length < 20 || bytes[0] !== 0xFF || bytes[1] !== 0xD8) return undefined
  const kept: Uint8Array[] = [bytes.subarray(0, 2)]
  for (let at = 2; at + 4 <= bytes.length;) {
    const marker = bytes[at + 1]!
    if (bytes[at] !== 0xFF || marker < 0xC0) return undefined
    if (marker === START_OF_SCAN) {
      kept.push(bytes.subarray(at, endOf(bytes)))
      return Uint8Array.from(Buffer.concat(kept))
    }
    const length = 2 + bytes[at + 2]! * 256 + bytes[at + 3]!
    if (length < 4 || at + length > bytes.length) return undefined
    if (!isBeside(marker)) kept.push(bytes.subarray(at, at + length))
    at += length
  }
  return undefined
}

/** Where the picture ends: what some cameras write behind it is left away. */
function endOf(bytes: Uint8Array): number {
  for (let at = bytes.length - 2; at > 2; at--) if (bytes[at] === 0xFF && bytes[at + 1] === END) return at + 2
  return bytes.length
}
