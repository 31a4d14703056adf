import type { Edge } from './edge'
import type { Begin } from './round'

/** The order in which a round meets the places of the edge below: a position in it is a *reading*. */
export class Reading {
  /** The place of reading 0: where the hook stood, or got to by slip stitches along the edge. */
  private readonly start: number
  private readonly turn: boolean

  constructor(private readonly on: Edge, { turn, along = 0, past }: Pick<Begin, 'turn' | 'along' | 'past'>) {
    const ahead = along + (past ? 1 : 0)
    this.turn = turn
    this.start = (((on.start + (turn ? -ahead : ahead)) % on.count) + on.count) % on.count
  }

  /** The place at a reading from 0 up to but not with the edge's count. */
  placeAt(reading: number): number {
    const { start } = this
    const { count, closed } = this.on
    if (!closed) return this.turn ? count - 1 - reading : reading
    const place = this.turn ? start - reading : start + reading
    return place < 0 ? place + count : place < count ? place : place - count
  }

  /** The place at any reading: round the corner in a round, -1 beyond the ends of a row. */
  neighbourAt(reading: number): number {
    const { count, closed } = this.on
    if (closed) return this.placeAt((reading + count) % count)
    return reading < 0 || reading >= count ? -1 : this.placeAt(reading)
  }

  /** Whether places are met as they were made, from the first on. */
  get straight(): boolean {
    return !this.turn && this.start === 0
  }

  /** The reading of a boundary of the edge below. Unturned it is the one before place `side`; turned, the one after it, on the way back. */
  ofSide(side: number): number {
    const { count, closed } = this.on
    if (!closed) return this.turn ? count - side : side
    return ((this.turn ? this.start - side : side - this.start) + 2 * count) % count + (this.turn ? 1 : 0)
  }
}
