import { inflateSync } from 'node:zlib'

/*
 * A WOFF font as the plain font file that it packs (WOFF File Format 1.0, W3C Recommendation 2012): the PDF library would unpack its
 * tables anew at every look.
 */

/** Bytes of a WOFF header and of an entry in its table directory; of a plain font's header and entry. */
const WOFF = { header: 44, entry: 20 } as const
const PLAIN = { header: 12, entry: 16 } as const

interface Table {
  readonly tag: number
  readonly checksum: number
  readonly bytes: Buffer
}

function tablesOf(woff: Buffer): Table[] {
  return Array.from({ length: woff.readUInt16BE(12) }, (_, i): Table => {
    const at = WOFF.header + i * WOFF.entry
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)]
    const raw = woff.subarray(offset, offset + packed)
    return {
      tag: woff.readUInt32BE(at), checksum: woff.readUInt32BE(at + 16), bytes: packed < length ? inflateSync(raw) : Buffer.from(raw),
    }
  })
}

/** Unpacks a WOFF font. */
export function plainFont(woff: Buffer): Buffer {
  const tables = tablesOf(woff)
  const power = 2 ** Math.floor(Math.log2(tables.length))
  const head = Buffer.alloc(PLAIN.header + tables.length * PLAIN.entry)
  head.writeUInt32BE(woff.readUInt32BE(4), 0)
  head.writeUInt16BE(tables.length, 4)
  head.writeUInt16BE(power * 16, 6)
  head.writeUInt16BE(Math.log2(power), 8)
  head.writeUInt16BE((tables.length - power) * 16, 10)
  let offset = head.length
  const padded = tables.map(({ tag, checksum, bytes }, i) => {
    const at = PLAIN.header + i * PLAIN.entry
    head.writeUInt32BE(tag, at)
    head.writeUInt32BE(checksum, at + 4)
    head.writeUInt32BE(offset, at + 8)
    head.writeUInt32BE(bytes.length, at + 12)
    const whole = Buffer.concat([bytes, Buffer.alloc((4 - (bytes.length % 4)) % 4)])
    offset += whole.length
    return whole
  })
  return Buffer.concat([head, ...padded])
}
