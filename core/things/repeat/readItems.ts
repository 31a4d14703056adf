import { type Piece, Unreadable } from './piece'

const NUMBERS = [
  'once', 'twice', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen',
  'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty',
]

export const TIMES = new RegExp(`^(once|twice|(?:${NUMBERS.slice(2).join('|')}|\\d+) times)$`, 'i')

const OPEN = '[({'

const CLOSE = '])}'

export function howOften(text: string): number {
  const word = text.toLowerCase().replace(' times', '')
  const named = NUMBERS.indexOf(word)
  return named >= 0 ? named + 1 : Number(word)
}

function trimmed({ text, at }: Piece): Piece {
  const lead = text.length - text.trimStart().length
  return { text: text.trim(), at: at + lead }
}

/** The text cut at its commas and semicolons, those in brackets left alone. */
export function items(piece: Piece): Piece[] {
  const found: Piece[] = []
  const open: number[] = []
  let from = 0
  const cut = (to: number) => found.push(trimmed({ text: piece.text.slice(from, to), at: piece.at + from }))
  for (let i = 0; i < piece.text.length; i++) {
    const sign = piece.text[i]!
    if (OPEN.includes(sign)) open.push(i)
    if (CLOSE.includes(sign)) {
      const opened = open.pop()
      if (opened === undefined || OPEN.indexOf(piece.text[opened]!) !== CLOSE.indexOf(sign))
        throw new Unreadable('this bracket closes nothing', piece.at + i, 1)
    }
    if (open.length === 0 && (sign === ',' || sign === ';')) {
      cut(i)
      from = i + 1
    }
  }
  if (open.length > 0) throw new Unreadable('this bracket is never closed', piece.at + open[0]!, 1)
  cut(piece.text.length)
  return found
}
