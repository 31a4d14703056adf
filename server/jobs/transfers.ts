/*
 * Bytes that go between the server and its workers are handed over, not copied: copying a parcel would hold up everybody.
 */

function isOwn(value: unknown): value is Uint8Array<ArrayBuffer> {
  return value instanceof Uint8Array && value.buffer instanceof ArrayBuffer && value.byteLength === value.buffer.byteLength
}

/** The memory of bytes that stand in a value at its top, which nothing else is in. */
export function transfersIn(value: unknown): ArrayBuffer[] {
  if (isOwn(value)) return [value.buffer]
  if (typeof value !== 'object' || value === null) return []
  return Object.values(value).filter(isOwn).map(({ buffer }) => buffer)
}
