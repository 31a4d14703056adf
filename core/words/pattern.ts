import type { Draft, DraftPart, DraftRound } from '../draft/draft'
import { liningOf, pieceWords } from '../draft/meshFindings'
import { isBase } from '../draft/part'
import { draftYarnChanges } from '../draft/wallFindings'
import { formatCm, formatLength } from '../measure/format'
import type { Piece } from '../part/piece'
import type { Worked } from '../round/worked'
import type { YarnChange } from '../round/yarnChanges'
import { type FabricKind, STITCH_KINDS, stitchName, STITCHES, type StitchKind, type Terms } from '../stitch/dictionary'
import { hookLabel } from '../stitch/hooks'
import { yarnNeeds } from '../yarn/yarn'
import { cordLines } from './cordWords'
import { floorWords } from './floorWords'
import { inTerms } from './inTerms'
import { notesOf, startOf, startWords } from './notes'
import { capitalised } from './numbers'
import { countWords, roundWords } from './roundWords'

/** One line of a pattern: a round, or rounds alike one after the other. */
export interface PatternLine {
  readonly from: number
  readonly to: number
  /** `Round 5`, `Rounds 14–43`. */
  readonly label: string
  readonly words: string
  readonly count: string
  readonly stitches: number
  /** Said after the round: a change of yarn. */
  readonly note?: string
}

/** A part of the bag in a pattern. */
export interface PatternSection {
  readonly part: string
  readonly title: string
  /** Said before the rounds. */
  readonly lead?: string
  /** What steps do not say: markers, seams, joining. */
  readonly advice: readonly string[]
  readonly lines: readonly PatternLine[]
  /** Of something worked on its own: its rows are numbered for themselves. */
  readonly piece?: string
  /** Said after the rounds: how a piece is joined to the bag. */
  readonly finish?: readonly string[]
}

/** A bag written out the way makers read it. */
export interface Pattern {
  readonly title: string
  readonly terms: Terms
  readonly facts: readonly { readonly name: string, readonly value: string }[]
  readonly abbreviations: readonly { readonly short: string, readonly long: string }[]
  readonly notes: readonly string[]
  readonly sections: readonly PatternSection[]
  readonly care: readonly string[]
}

function gaugeFact(draft: Draft, terms: Terms): string {
  const { measured, assumed } = draft.design.gauge
  const counted = (Object.keys(measured) as FabricKind[]).map((kind) => {
    const { stitches, rounds, overCm, tallCm } = measured[kind]!
    const over = tallCm && tallCm !== overCm ? `${overCm} cm wide, ${tallCm} cm tall` : `${overCm} cm`
    return `${stitches} ${stitchName(kind, terms).abbreviation} and ${rounds} rounds in ${over}`
  })
  return counted.join('; ') + (assumed ? ' (assumed: measure your own swatch)' : '')
}

function facts(draft: Draft, terms: Terms): Pattern['facts'] {
  const { design, sizes } = draft
  const { units } = design
  return [
    { name: 'Hook', value: hookLabel(design.gauge.hookMm) }, { name: 'Gauge', value: gaugeFact(draft, terms) },
    { name: 'Floor', value: floorWords(sizes.floor, units) },
    { name: 'Lying flat', value: `${formatLength(sizes.flatWidth, units)} wide, ${formatLength(sizes.height, units)} tall` },
    {
      name: 'Yarn',
      value:
        yarnNeeds(draft)
          .map(({ yarn, metres }) => `${yarn.name}: about ${Math.ceil(metres)} m`)
          .join('; ') + ' (estimate; add a margin)',
    },
    ...(sizes.loadedHeightCm === undefined
      ? []
      : [{ name: 'Loaded', value: `about ${formatCm(sizes.loadedHeightCm, units)} tall (estimate)` }]),
    ...(sizes.withHandles
      ? [
          {
            name: 'With handles',
            value: `${formatCm(sizes.withHandles.emptyCm, units)} to the top of the handles, about `
              + `${formatCm(sizes.withHandles.loadedCm, units)} loaded (estimate)`,
          },
        ]
      : []),
    ...(design.lining
      ? [
          {
            name: 'Lining',
            value: `${liningOf(design, draft.parts, sizes)
              .map(piece => pieceWords(piece, units))
              .join('; ')} (seams and hem included)`,
          },
        ]
      : []),
    { name: 'Stitches', value: `${sizes.stitches.toLocaleString('en')} in ${sizes.rounds} rounds` },
  ]
}

/** Everything worked on its own, in the order of the parts it is for. */
export function piecesOf(draft: Draft): Piece[] {
  return draft.parts.flatMap(({ pieces }) => pieces)
}

/** The stitches a pattern speaks of: what its rounds make, and what starts and joins them. */
function kindsSpoken(draft: Draft): StitchKind[] {
  const found = new Set<StitchKind>()
  for (const { worked } of draft.rounds) {
    for (const code of worked.stitches) found.add(STITCH_KINDS[code]!)
    if (worked.round.closing && worked.round.closing.chains > 0) found.add('ch')
    if (worked.round.join === 'slip') found.add('slst')
    if (worked.round.begin.chains > 0) found.add('ch')
  }
  if (draft.start.chains > 0) found.add('ch')
  for (const { rows, start, cordYarnCm } of piecesOf(draft)) {
    for (const { stitches } of rows) for (const code of stitches) found.add(STITCH_KINDS[code]!)
    if (start.chains > 0 || rows.length > 1) found.add('ch')
    if (cordYarnCm) found.add('slst')
  }
  return STITCH_KINDS.filter(kind => found.has(kind))
}

/** Other abbreviations that a pattern may use: how each looks in its words, and what it stands for. */
const FURTHER: readonly {
  readonly looks: RegExp
  readonly short: (found: string) => string
  readonly long: (found: string, terms: Terms) => string
}[] = [
  {
    looks: /\b(?:FP|BP)(?=[a-z])[a-z]+\b/g, short: found => found,
    long: (found, terms) => `${nameOf(found.slice(2), terms)} around the post, from the ${found.startsWith('FP') ? 'front' : 'back'}`,
  },
  {
    looks: /\b[a-z]+\d+tog\b/g, short: found => found,
    long: (found, terms) =>
      `${Number(/\d+/.exec(found)![0]) === 2 ? 'two' : /\d+/.exec(found)![0]} ${nameOf(/^[a-z]+/.exec(found)![0], terms)} worked `
      + 'together, a decrease',
  },
  { looks: /\bch-sps?\b/g, short: () => 'ch-sp', long: () => 'chain space' },
  { looks: /\bsk\b/g, short: () => 'sk', long: () => 'skip (UK: miss)' },
]

function nameOf(abbreviation: string, terms: Terms): string {
  return Object.values(STITCHES).find(stitch => stitch[terms].abbreviation === abbreviation)?.[terms].name ?? abbreviation
}

/** The further abbreviations in a pattern's words, each once. */
function furtherSpoken(draft: Draft, terms: Terms): Pattern['abbreviations'] {
  const words = [...roundLines(draft, terms), ...piecesOf(draft).flatMap(piece => rowLines(piece, terms))]
    .map(line => `${line.words} ${line.count}`)
    .join(' ')
    .replace(/\bSk\b/g, 'sk')
  const found = new Map<string, string>()
  for (const { looks, short, long } of FURTHER) for (const [one] of words.matchAll(looks)) found.set(short(one), long(one, terms))
  return [...found].map(([short, long]) => ({ short, long }))
}

function abbreviations(draft: Draft, terms: Terms): Pattern['abbreviations'] {
  const other: Terms = terms === 'us' ? 'uk' : 'us'
  const stitches = kindsSpoken(draft).map((kind) => {
    const here = STITCHES[kind][terms]
    const there = STITCHES[kind][other]
    const differs = here.name !== there.name ? ` (${other.toUpperCase()}: ${there.name})` : ''
    return { short: here.abbreviation, long: `${here.name}${differs}` }
  })
  return [...stitches, ...furtherSpoken(draft, terms), { short: 'st, sts', long: 'stitch, stitches' }]
}

/** Said after the last round in a yarn: what to change to, and what becomes of the old one. */
function colourNote(draft: Draft, index: number): string | undefined {
  const change = changesOf(draft).get(index + 1)
  if (!change) return undefined
  const name = (id: string) => draft.design.yarns.find(yarn => yarn.id === id)?.name ?? id
  const old = change.carried ? `Carry ${name(change.from)} up inside, slack.` : `Cut ${name(change.from)}.`
  return `Change to ${name(change.to)} on the last pull-through. ${old}`
}

const known = new WeakMap<Draft, ReadonlyMap<number, YarnChange>>()

/** A draft's changes of yarn by the index of the first round in the new one; worked out once a draft. */
function changesOf(draft: Draft): ReadonlyMap<number, YarnChange> {
  let found = known.get(draft)
  if (!found) known.set(draft, (found = new Map(draftYarnChanges(draft.parts).changes.map(change => [change.at, change]))))
  return found
}

/** Where a round carries more markers than the one at its start; they are counted from its first stitch. */
function markerNote(part: DraftPart, round: DraftRound): string | undefined {
  const markers = part.markers?.[round.number - part.firstRound] ?? []
  return markers.length > 1 ? `Markers in sts ${markers.map(made => made + 1).join(', ')}.` : undefined
}

function lineFor(draft: Draft, round: DraftRound, terms: Terms): PatternLine {
  const part = draft.parts.find(({ id }) => id === round.part)!
  const note = [markerNote(part, round), part.notes?.[round.number - part.firstRound], colourNote(draft, round.number - 1)]
    .filter(Boolean)
    .join(' ')
  const { worked, number } = round
  return {
    from: number, to: number, label: `${worked.round.join === 'open' ? 'Row' : 'Round'} ${number}`, stitches: worked.edge.count,
    words: capitalised(roundWords(worked, terms, draft.start, draft.design.rounds.startingChainCounts && worked.round.join === 'slip')),
    count: countWords(worked), ...(note ? { note: inTerms(note, terms) } : {}),
  }
}

function isRow({ label }: PatternLine): boolean {
  return label.startsWith('Row')
}

/** Rounds that read alike, one after the other, become one line. */
function gathered(lines: readonly PatternLine[]): PatternLine[] {
  const found: PatternLine[] = []
  for (const line of lines) {
    const last = found[found.length - 1]
    if (
      last
      && last.words === line.words
      && isRow(last) === isRow(line)
      && last.count === line.count
      && (!last.note || last.note === line.note)
    ) {
      const merged = { ...last, to: line.to, label: `${isRow(line) ? 'Rows' : 'Rounds'} ${last.from}–${line.to}` }
      found[found.length - 1] = line.note ? { ...merged, note: line.note } : merged
    }
    else found.push(line)
  }
  return found
}

/** A row of a piece, numbered in the piece. */
function rowLine({ start }: Piece, worked: Worked, i: number, terms: Terms): PatternLine {
  return {
    from: i + 1, to: i + 1, label: `Row ${i + 1}`, stitches: worked.edge.count, words: capitalised(roundWords(worked, terms, start)),
    count: countWords(worked),
  }
}

/** Every row of a piece on a line of its own. */
export function rowLines(piece: Piece, terms: Terms): PatternLine[] {
  return piece.rows.map((worked, i) => rowLine(piece, worked, i, terms))
}

/** What is worked on its own for a part, a section each. */
function pieceSections(draft: Draft, part: DraftPart, terms: Terms): PatternSection[] {
  return part.pieces.map((piece): PatternSection => {
    const size = `${formatCm(piece.lengthCm, draft.design.units)} by ${formatCm(piece.widthCm, draft.design.units)}`
    return {
      part: part.id, piece: piece.id, title: piece.times > 1 ? `${piece.name}: make ${piece.times}` : piece.name,
      lead: inTerms(piece.lead ?? startOf(piece.start, piece.colour, draft, terms), terms),
      advice: [...piece.advice, ...(piece.rows.length > 0 ? [`${size}.`] : [])].map(text => inTerms(text, terms)),
      lines: gathered(rowLines(piece, terms)), finish: piece.finish.map(text => inTerms(text, terms)),
    }
  })
}

function section(draft: Draft, part: DraftPart, terms: Terms): PatternSection {
  const lines = part.rounds.map((_, i) => lineFor(draft, draft.rounds[part.firstRound - 1 + i]!, terms))
  return {
    part: part.id, title: part.name, lines: gathered(lines), ...(isBase(part) ? { lead: startWords(draft, terms) } : {}),
    advice: part.advice.map(text => inTerms(text, terms)),
  }
}

function cordSection(draft: Draft, terms: Terms): PatternSection[] {
  const advice = cordLines(draft, terms)
  return advice.length > 0 ? [{ part: 'cords', title: 'Cords', advice, lines: [] }] : []
}

/** Every round of a bag on a line of its own, in order. */
export function roundLines(draft: Draft, terms: Terms): PatternLine[] {
  return draft.rounds.map(round => lineFor(draft, round, terms))
}

/** Writes a bag's pattern in one of the two vocabularies. */
export function patternOf(draft: Draft, terms: Terms): Pattern {
  return {
    title: draft.design.name, terms, facts: facts(draft, terms), abbreviations: abbreviations(draft, terms), notes: notesOf(draft, terms),
    sections: [
      ...draft.parts
        .filter(part => part.rounds.length > 0 || part.casing || part.advice.length > 0)
        .flatMap(part => [section(draft, part, terms), ...pieceSections(draft, part, terms)]),
      ...cordSection(draft, terms),
    ],
    care: [
      'Rest your hands: a pause every half hour. Pain is for a clinician, not for another round.',
      'Keep hooks, scissors and stitch markers away from small children.',
      'Steam burns and melts acrylic: block cotton only, from the back, with the iron held off.',
      'A handmade bag has no rated load: try it low over the floor first.',
      ...(draft.design.forChild
        ? ['For a child: no long cords or loops, no beads or buttons that come off. Your local safety law decides.']
        : []),
    ],
  }
}
