import PDFDocument from 'pdfkit'
import type { Picture } from '../../core/things/entry/picture'

/** Sizes of paper, in points of 1/72 inch (ISO 216; ANSI/ASME Y14.1). */
export const PAPERS = { a4: [595.28, 841.89], letter: [612, 792] } as const
export type Paper = keyof typeof PAPERS

/** How a pattern is put on paper. */
export interface PaperWish {
  readonly paper: Paper
  /** Large print: half as big again. */
  readonly large: boolean
}

/** Font files, unpacked. */
export interface Fonts {
  readonly plain: Buffer
  readonly bold: Buffer
  readonly heading: Buffer
}

const INK = '#2b2a28'
const SOFT = '#5d5850'
const RULE = '#b9b0a0'
const YARN = '#d9cbb0'
const LIT = '#f2b632'
export const ACCENT = '#7c1f4e'
const MARGIN = 52
const FOOT = 20
/** More rounds than this on one line are not ticked one by one. */
const MOST_TICKS = 140

type Face = keyof Fonts

/** How a run of text is set. */
interface Type {
  readonly face?: Face
  readonly size?: number
  readonly colour?: string
  readonly indent?: number
  /** Left free below it. */
  readonly after?: number
}

/**
 * Sheets of paper that text and charts are put on from the top down. A block that would be cut by the foot of a page begins the next one.
 */
export class Sheet {
  private readonly doc: PDFKit.PDFDocument
  private readonly bytes: Buffer[] = []
  private readonly done: Promise<Buffer>
  private readonly glyphs: Readonly<Record<Face, ReadonlySet<number>>>
  private readonly scale: number
  readonly width: number

  constructor(
    private readonly title: string,
    { paper, large }: PaperWish,
    fonts: Fonts,
  ) {
    const [width] = PAPERS[paper]
    this.scale = large ? 1.5 : 1
    this.width = width - 2 * MARGIN
    this.doc = new PDFDocument({
      font: fonts.plain as never, size: [...PAPERS[paper]], bufferPages: true,
      margins: { left: MARGIN, right: MARGIN, top: MARGIN, bottom: MARGIN + FOOT },
      info: { Title: title, Creator: 'Fair Hollow' }, lang: 'en',
    })
    this.doc.on('data', (chunk: Buffer) => this.bytes.push(chunk))
    this.done = new Promise(resolve => this.doc.on('end', () => resolve(Buffer.concat(this.bytes))))
    for (const face of ['plain', 'bold', 'heading'] as const) this.doc.registerFont(face, fonts[face])
    this.glyphs = { plain: this.glyphsOf('plain'), bold: this.glyphsOf('bold'), heading: this.glyphsOf('heading') }
    this.doc.fillColor(INK)
  }

  /** The signs that a face can print. */
  private glyphsOf(face: Face): ReadonlySet<number> {
    this.doc.font(face)
    // The library keeps the font in use to itself; its list of signs is the only way to know what would not be printed.
    return new Set(
      (this.doc as unknown as { readonly _font: { readonly font: { readonly characterSet: readonly number[] } } })._font.font.characterSet,
    )
  }

  /** A text that the face can print: a sign it lacks becomes a question mark, instead of vanishing without a word. */
  private printable(text: string, face: Face): string {
    let said = ''
    for (const sign of text) {
      const has = this.glyphs[face].has(sign.codePointAt(0)!)
      said += has || sign === '\n' ? sign : '?'
    }
    return said
  }

  private set({ face = 'plain', size = 10, colour = INK }: Type): void {
    this.doc
      .font(face)
      .fontSize(size * this.scale)
      .fillColor(colour)
  }

  private get bottom(): number {
    return this.doc.page.height - MARGIN - FOOT
  }

  /** Room left on the page. */
  get room(): number {
    return this.bottom - this.doc.y
  }

  /** The room that a whole page has. */
  get page(): number {
    return this.bottom - MARGIN
  }

  /** Begins a new page unless so much room is left. */
  needs(height: number): void {
    if (height > this.room && this.doc.y > MARGIN + 1) this.doc.addPage()
  }

  heightOf(text: string, type: Type): number {
    this.set(type)
    return this.doc.heightOfString(this.printable(text, type.face ?? 'plain'), { width: this.width - (type.indent ?? 0) * this.scale })
  }

  /** A paragraph, whole on one page if a page can hold it. */
  text(text: string, type: Type = {}): void {
    this.needs(Math.min(this.heightOf(text, type), this.page))
    this.set(type)
    const indent = (type.indent ?? 0) * this.scale
    this.doc.text(this.printable(text, type.face ?? 'plain'), MARGIN + indent, this.doc.y, { width: this.width - indent })
    this.doc.y += (type.after ?? 3) * this.scale
    this.doc.x = MARGIN
  }

  /** A heading with a rule above it, kept with what follows. */
  heading(text: string, follows = 60): void {
    const type: Type = { face: 'heading', size: 13 }
    this.needs(this.heightOf(text, type) + follows * this.scale)
    if (this.doc.y > MARGIN + 1) this.doc.y += 10 * this.scale
    this.doc
      .moveTo(MARGIN, this.doc.y)
      .lineTo(MARGIN + this.width, this.doc.y)
      .lineWidth(0.8)
      .stroke(RULE)
    this.doc.y += 5 * this.scale
    this.text(text, { ...type, after: 4 })
  }

  /** A name and what belongs to it, side by side. */
  pair(name: string, value: string, nameWidth = 104): void {
    const left = nameWidth * this.scale
    const type: Type = { indent: nameWidth }
    this.needs(Math.min(this.page, Math.max(this.heightOf(value, type), this.heightOf(name, { face: 'bold' }))))
    const { y } = this.doc
    this.set({ face: 'bold' })
    this.doc.text(this.printable(name, 'bold'), MARGIN, y, { width: left - 6 })
    const { y: below } = this.doc
    this.set(type)
    this.doc.text(this.printable(value, 'plain'), MARGIN + left, y, { width: this.width - left })
    this.doc.y = Math.max(below, this.doc.y) + 2.5 * this.scale
    this.doc.x = MARGIN
  }

  /** A round's number with a box to tick for each round below it, and its words beside them; never parted between two pages. */
  round(label: string, words: string, rounds: number, nameWidth: number): void {
    const left = nameWidth * this.scale
    const [side, step] = [7 * this.scale, 10 * this.scale]
    const across = Math.max(1, Math.floor((left - 8) / step))
    const boxes = Math.ceil(rounds / across) * step
    const labelled = this.heightOf(label, { face: 'bold' }) + 2 * this.scale
    const tall = Math.max(labelled + boxes, this.heightOf(words, { indent: nameWidth }))
    this.needs(Math.min(this.page, tall))
    const { y } = this.doc
    this.set({ face: 'bold' })
    this.doc.text(this.printable(label, 'bold'), MARGIN, y, { width: left - 6 })
    for (let i = 0; i < Math.min(rounds, MOST_TICKS); i++) {
      const top = y + labelled + Math.floor(i / across) * step
      this.doc
        .rect(MARGIN + (i % across) * step, top, side, side)
        .lineWidth(0.6)
        .stroke(SOFT)
    }
    this.set({})
    this.doc.text(this.printable(words, 'plain'), MARGIN + left, y, { width: this.width - left })
    this.doc.y = y + tall + 4 * this.scale
    this.doc.x = MARGIN
  }

  /** A drawing so big in its own units, as wide as there is room for; `draw` puts its paths where they belong. */
  drawing(
    box: { readonly left: number, readonly top: number, readonly width: number, readonly height: number },
    most: number,
    draw: (pen: Pen) => void,
    caption: string,
  ): void {
    if (box.width <= 0 || box.height <= 0) return
    const scale = Math.min(this.width / box.width, most / box.height, 60)
    this.needs(box.height * scale + 20 * this.scale)
    const { doc } = this
    const top = doc.y
    doc
      .save()
      .translate(MARGIN + (this.width - box.width * scale) / 2, top)
      .scale(scale)
      .translate(-box.left, -box.top)
    doc.lineWidth(0.045).lineCap('round')
    draw({
      path: (path, colour = INK) => void doc.path(path).stroke(colour),
      label: (text, x, y, size) => {
        doc.font('plain').fontSize(size).fillColor(SOFT)
        doc.text(text, x - doc.widthOfString(text) / 2, y - size * 0.6, { lineBreak: false })
      },
    })
    doc.restore()
    doc.x = MARGIN
    doc.y = top + box.height * scale + 3 * this.scale
    this.text(caption, { size: 8, colour: SOFT, after: 8 })
  }

  /** Small drawings side by side, each with its name and what it says below; a row of them is never parted between two pages. */
  figures(figures: readonly Figure[], leftHanded: boolean): void {
    const columns = this.scale > 1 ? 2 : 3
    const gap = 16
    const width = (this.width - gap * (columns - 1)) / columns
    for (let i = 0; i < figures.length; i += columns) this.figureRow(figures.slice(i, i + columns), width, gap, leftHanded)
  }

  private figureRow(row: readonly Figure[], width: number, gap: number, leftHanded: boolean): void {
    const drawn = 64 * this.scale
    const textHeight = (text: string, face: Face) => {
      this.set({ face, size: 9 })
      return this.doc.heightOfString(this.printable(text, face), { width })
    }
    this.needs(drawn + 6 + Math.max(...row.map(({ name, says }) => textHeight(name, 'bold') + textHeight(says, 'plain'))))
    const top = this.doc.y
    let below = top
    row.forEach(({ name, says, picture }, i) => {
      const x = MARGIN + i * (width + gap)
      this.figure(picture, x, top, drawn, leftHanded)
      this.set({ face: 'bold', size: 9 })
      this.doc.text(this.printable(name, 'bold'), x, top + drawn + 4, { width })
      this.set({ size: 9 })
      this.doc.text(this.printable(says, 'plain'), x, this.doc.y, { width })
      below = Math.max(below, this.doc.y)
    })
    this.doc.y = below + 12 * this.scale
    this.doc.x = MARGIN
  }

  private figure({ width, height, threads, way, head }: Picture, x: number, y: number, tall: number, leftHanded: boolean): void {
    const { doc } = this
    const scale = Math.min(tall / (height + 8), 1.6 * this.scale)
    doc.save().translate(x, y).scale(scale).translate(4, 4).lineCap('round')
    if (leftHanded) doc.translate(width, 0).scale(-1, 1)
    for (const { path, lit, behind } of threads) {
      doc.opacity(behind ? (lit ? 0.8 : 0.4) : 1)
      doc.lineWidth(5.6).path(path).stroke(INK)
      doc
        .lineWidth(4.2)
        .path(path)
        .stroke(lit ? LIT : YARN)
    }
    doc.opacity(1).lineWidth(2.2)
    for (const { path, behind } of way) {
      if (behind) doc.dash(0.5, { space: 3.6 })
      doc.path(path).stroke(ACCENT).undash()
    }
    doc.translate(head.x, head.y).rotate(head.degrees).path('M3 0L-4 -3.6L-2.4 0L-4 3.6Z').fill(ACCENT)
    doc.restore()
  }

  /** Numbers the pages, names the bag on each, and closes the sheets. */
  async finished(): Promise<Buffer> {
    const { doc } = this
    const { start, count } = doc.bufferedPageRange()
    for (let i = start; i < start + count; i++) {
      doc.switchToPage(i)
      doc.page.margins.bottom = 0
      const y = doc.page.height - MARGIN - 8
      this.set({ size: 8, colour: SOFT })
      doc.text(this.printable(this.title, 'plain'), MARGIN, y, {
        width: this.width - 90, lineBreak: false, ellipsis: true, height: 12 * this.scale,
      })
      doc.text(`page ${i - start + 1} of ${count}`, MARGIN + this.width - 90, y, { width: 90, align: 'right', lineBreak: false })
    }
    doc.end()
    return this.done
  }
}

/** A small drawing with its name and what it says. */
interface Figure {
  readonly name: string
  readonly says: string
  readonly picture: Picture
}

/** Draws on a sheet in the drawing's own units. */
export interface Pen {
  readonly path: (path: string, colour?: string) => void
  readonly label: (text: string, x: number, y: number, size: number) => void
}
