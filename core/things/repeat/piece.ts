/** Thrown by what reads a line, and turned into a `Read` at the border of read.ts. */
export class Unreadable extends Error {
  constructor(
    readonly what: string,
    readonly at: number,
    readonly length: number,
  ) {
    super(what)
  }
}

/** A piece of the text, and where in the whole it stands. */
export interface Piece {
  readonly text: string
  readonly at: number
}
