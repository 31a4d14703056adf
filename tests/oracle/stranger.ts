/*
 * A stranger who works a pattern's words
 * =====================================
 *
 * Takes every line at its word, as somebody would who has never seen the bag: keeps the edge it has made as a list of places, knows
 * stitches from spaces, single chains, posts and gaps, and refuses what cannot be done where it is told to. It shares no code with the
 * program; what it knows of the craft is in this file.
 */

/** A place of the stranger's own edge. */
export interface Place {
  readonly is: 'st' | 'sp' | 'ring' | 'ch' | 'under' | 'end' | 'hole'
  readonly chains: number
}

/** What a line leaves on the stranger's hook. */
export interface Left {
  readonly edge: readonly Place[]
  readonly closed: boolean
  /** The place that the hook stands at. */
  readonly at: number
}

/** What the stranger cannot do, or does not understand. */
export class Baffled extends Error {}

const ST: Place = { is: 'st', chains: 0 }
const STITCHES = { us: ['sc', 'hdc', 'dc', 'tr', 'sl st'], uk: ['dc', 'htr', 'tr', 'dtr', 'ss'] } as const
type Terms = keyof typeof STITCHES

const SORT: Readonly<Record<string, Place['is']>> = {
  'st': 'st', 'sts': 'st', 'ch-sp': 'sp', 'ch-sps': 'sp', 'loop': 'sp', 'loops': 'sp', 'ch': 'ch', 'chs': 'ch',
  'ch along the underside of the ch': 'under', 'chs along the underside of the ch': 'under', 'row end': 'end', 'row ends': 'end',
  'hole': 'hole', 'holes': 'hole', 'ring': 'ring',
}

/** A text cut at a separator outside all brackets and outside what an asterisk repeats. */
function cut(text: string, separator: string): string[] {
  const found: string[] = []
  let depth = 0
  let from = 0
  for (let i = 0; i < text.length; i++) {
    if ('([{'.includes(text[i]!)) depth++
    if (')]}'.includes(text[i]!)) depth--
    if (depth < 0) throw new Baffled(`a bracket closes nothing in "${text}"`)
    if (depth === 0 && text.startsWith(separator, i)) {
      found.push(text.slice(from, i))
      from = i + separator.length
    }
  }
  if (depth !== 0) throw new Baffled(`a bracket is never closed in "${text}"`)
  return [...found, text.slice(from)]
}

/** Places that use nothing up. */
const NOTHING_USED = [
  /^same (st|ch-sp|ch|loop|ring|row end|hole)$/, /^(next|same) sp between (sts|groups)$/,
  /^the (skipped st|middle one of the \d+ skipped sts|\d+\w\w of the \d+ skipped sts) one round below$/,
]

/** One round or row being worked. */
class Working {
  private readonly made: Place[] = []
  private met = 0
  private chainsUsed = 0
  private passed = false
  private readonly order: readonly Place[]

  constructor(
    below: Left,
    private readonly terms: Terms,
    turned: boolean,
    private readonly fans: number,
    along: number,
  ) {
    const { edge, closed, at } = below
    if (!closed) this.order = turned ? [...edge].reverse() : edge
    else {
      const from = (((turned ? at - along : at + along) % edge.length) + edge.length) % edge.length
      this.order = edge.map((_, i) => edge[(((turned ? from - i : from + i) % edge.length) + edge.length) % edge.length]!)
    }
  }

  private here(): Place {
    const place = this.order[this.met]
    if (!place) throw new Baffled('nothing is left to work into')
    return place
  }

  private makes(place: Place, times = 1): void {
    for (let i = 0; i < times; i++) this.made.push(place)
  }

  /** A chain at the start that stands for a stitch, and chains of a space after it. */
  startsWith(spaceChains: number): void {
    if (this.here().is !== 'ring') this.met++
    this.makes(ST)
    if (spaceChains > 0) this.makes({ is: 'sp', chains: spaceChains })
  }

  /** Chains of a foundation that stand for a stitch; the last of them is the one it stands on if the next one is not said to be. */
  skipsChains(onLast: boolean): void {
    if (onLast) this.met++
    this.makes(ST)
  }

  needsStitchHere(): void {
    if (this.here().is !== 'st') throw new Baffled(`the place of the join is no stitch but ${this.here().is}`)
  }

  clauses(texts: readonly string[]): void {
    for (const text of texts) this.clause(text)
  }

  body(text: string): void {
    if (!text.includes('*')) return this.clauses(cut(text, ', '))
    let left = text
    while (left !== '') {
      const star = left.indexOf('*')
      if (star < 0) return this.clauses(cut(left, ', '))
      if (star > 0) this.clauses(cut(left.slice(0, star).replace(/[,;] $/, ''), ', '))
      const found = /^\*(.*?); rep from \* (around|across|once more|\d+ more times)(?:[;,] (.*))?$/s.exec(left.slice(star))
      if (!found) throw new Baffled(`no end to what the asterisk repeats in "${text}"`)
      const inside = cut(found[1]!, ', ')
      this.clauses(inside)
      this.overAgain(inside, found[2]!)
      left = found[3] ?? ''
    }
  }

  private overAgain(inside: readonly string[], often: string): void {
    if (often === 'once more') return this.clauses(inside)
    const times = /^(\d+) more/.exec(often)
    if (times) {
      for (let i = 0; i < Number(times[1]); i++) this.clauses(inside)
      return
    }
    while (this.unworked() > 0) {
      const before = this.met
      this.clauses(inside)
      if (this.met === before) throw new Baffled('the repeat around gets nowhere')
    }
  }

  private unworked(): number {
    return this.order.slice(this.met).filter(({ is }) => is !== 'ring' && (!this.passed || is === 'sp')).length
  }

  private clause(text: string): void {
    const repeated = /^([[{])(.*)([\]}]) (\d+) times$/.exec(text)
    if (repeated) {
      if ((repeated[1] === '[') !== (repeated[3] === ']')) throw new Baffled(`brackets do not match in "${text}"`)
      if (repeated[2]!.includes(repeated[1]!)) throw new Baffled(`brackets of one shape in each other in "${text}"`)
      const inside = cut(repeated[2]!, ', ')
      for (let i = 0; i < Number(repeated[4]); i++) this.clauses(inside)
      return
    }
    const chain = /^ch (\d+)$/i.exec(text)
    if (chain) return this.makes({ is: 'sp', chains: Number(chain[1]) })
    const skip = new RegExp(`^${this.terms === 'us' ? 'sk' : 'miss'} next (?:(\\d+) )?(.+)$`, 'i').exec(text)
    if (skip) return this.next(Number(skip[1] ?? 1), skip[2]!, skip[1] !== undefined, 0)
    if (/\d+tog\b/.test(text)) return this.together(text)
    const foundation = /^(\d+) foundation ([a-z]+)$/i.exec(text)
    if (foundation) return this.onNothing(Number(foundation[1]), foundation[2]!)
    this.work(text)
  }

  /** A foundation made stitch by stitch: each lies where a chain will be. */
  private onNothing(times: number, name: string): void {
    this.stitchName(name)
    for (let i = 0; i < times; i++) {
      if (this.here().is !== 'ch') throw new Baffled('a foundation is made before anything else')
      this.met++
      this.makes(ST)
    }
  }

  private stitchName(name: string): void {
    const bare = name
      .replace(/^(long |reverse )/i, '')
      .replace(/^[FB]P/i, '')
      .toLowerCase()
    if (!(STITCHES[this.terms] as readonly string[]).includes(bare)) throw new Baffled(`no stitch is called "${name}"`)
  }

  private together(text: string): void {
    const atHandle = /^([a-z]+?)(\d+)tog over (.*\bch of the handle\b.*)$/i.exec(text)
    if (atHandle) return this.atHandle(atHandle[1]!, Number(atHandle[2]), atHandle[3]!.split(' and '))
    const found = /^((?:[FB]P)?[a-z]+?)(\d+)tog(?: in (?:back|front|back and third) loops)?(?: over next (.+))?$/i.exec(text)
    if (!found) throw new Baffled(`cannot work "${text}"`)
    this.stitchName(found[1]!)
    const over = Number(found[2])
    const [, , , where] = found
    if (!where) this.next(over, over === 1 ? 'st' : 'sts', over > 1, 0)
    else if (/^\d/.test(where)) {
      if (Number.parseInt(where, 10) !== over) throw new Baffled(`"${text}" says two numbers`)
      this.next(over, where.replace(/^\d+ /, ''), true, 0)
    }
    else {
      const sorts = where.split(' and ')
      if (sorts.length !== over) throw new Baffled(`"${text}" says two numbers`)
      for (const sort of sorts) this.next(1, sort, false, 0)
    }
    this.makes(ST)
  }

  /** Draws body and handle together: over single chains of a handle, and what lies between. */
  private atHandle(name: string, over: number, places: readonly string[]): void {
    this.stitchName(name)
    if (places.length !== over) throw new Baffled(`${over} drawn together over "${places.join(' and ')}"`)
    for (const place of places) {
      if (!place.includes('ch of the handle')) {
        const next = /^next (.+)$/.exec(place)
        if (!next) throw new Baffled(`cannot find "${place}"`)
        this.next(1, next[1]!, false, 0)
        continue
      }
      const first = place.startsWith('first')
      if (this.here().is !== 'sp') throw new Baffled('no handle here')
      if (first ? this.chainsUsed !== 0 : this.chainsUsed !== this.here().chains - 1) throw new Baffled(`this is not the ${place}`)
      this.singleChains(1, () => undefined)
    }
    this.makes(ST)
  }

  /** Takes so many places of a sort, and makes so many stitches in each. */
  private next(places: number, sort: string, plural: boolean, each: number, what?: () => void): void {
    const is = SORT[sort]
    if (!is) throw new Baffled(`no place is called "${sort}"`)
    if (plural !== (sort.endsWith('s') || sort.startsWith('chs')) && !sort.endsWith('ch'))
      throw new Baffled(`"${places} ${sort}" is no grammar`)
    for (let i = 0; i < places; i++) {
      if (is === 'sp' && (each > 0 || what || this.passed)) while (this.order[this.met]?.is === 'st') this.pass()
      if (this.here().is !== is) throw new Baffled(`told to go into a ${sort}, but a ${this.here().is} comes next`)
      if (is !== 'ring') this.met++
      if (what) what()
      else this.makes(ST, each)
    }
  }

  private pass(): void {
    this.passed = true
    this.met++
  }

  private work(text: string): void {
    const found = /^(?:(\d+) )?(\(.*\)|fan|(?:long |reverse )?[a-z]+(?: st)?) (in|around) (.+)$/i.exec(text)
    if (!found) throw new Baffled(`cannot work "${text}"`)
    const [, by, name, how, place] = found as unknown as [string, string | undefined, string, string, string]
    const lots = this.lotsOf(name, Number(by ?? 1), how)
    this.into(
      place.replace(/^back loop of the near and both loops of the far layer at |^(back and third loops|back loop|front loop|back bump) of |^both layers at /, ''),
      lots,
      by !== undefined || name.startsWith('('),
    )
  }

  /** What goes into one place: a stitch several times, or stitches and chains in round brackets. */
  private lotsOf(name: string, times: number, how: string): () => void {
    if (name === 'fan' || name === 'Fan') {
      if (this.fans < 1) throw new Baffled('nobody said what a fan is')
      return () => this.makes(ST, this.fans)
    }
    const lots = name.startsWith('(') ? name.slice(1, -1).split(', ') : [times === 1 ? name : `${times} ${name}`]
    for (const lot of lots) {
      const stitch = lot.replace(/^\d+ /, '')
      if (/^ch \d+$/.test(lot)) continue
      this.stitchName(stitch)
      if (/^[FB]P/i.test(stitch) !== (how === 'around')) throw new Baffled(`posts are worked around, all else in: "${name} ${how}"`)
    }
    return () => {
      for (const lot of lots) {
        const chain = /^ch (\d+)$/.exec(lot)
        if (chain) this.makes({ is: 'sp', chains: Number(chain[1]) })
        else this.makes(ST, Number(/^(\d+) /.exec(lot)?.[1] ?? 1))
      }
    }
  }

  private into(place: string, lots: () => void, several: boolean): void {
    const each = /^each ((?:st|ch-sp|ch|loop|hole)(?: and (?:st|ch-sp))?) (?:around|across)$/.exec(place)
    if (each) return this.everywhere(each[1]!.split(' and '), lots)
    const next = /^(each of )?next (?:(\d+) )?(.+)$/.exec(place)
    if (next && !/ of the ch-sp$| between /.test(place)) {
      if (next[1] && !next[2]) throw new Baffled(`how many is "${place}"?`)
      if (next[2] && several && !next[1]) throw new Baffled(`"${place}": one in each, or all in one?`)
      return this.next(Number(next[2] ?? 1), next[3]!, next[2] !== undefined, 1, lots)
    }
    this.named(place, lots)
  }

  private everywhere(sorts: readonly string[], lots: () => void): void {
    const kinds = sorts.map(sort => SORT[sort])
    if (kinds.length === 1 && kinds[0] === 'sp') {
      this.passed = true
      for (; this.met < this.order.length; this.met++) if (this.here().is === 'sp') lots()
      return
    }
    const seen = new Set<string>()
    for (; this.met < this.order.length; this.met++) {
      if (!kinds.includes(this.here().is)) throw new Baffled(`told of ${sorts.join(' and ')}, but a ${this.here().is} comes`)
      seen.add(this.here().is)
      lots()
    }
    if (seen.size !== kinds.length) throw new Baffled(`told of ${sorts.join(' and ')}, not all of which there are`)
  }

  private named(place: string, lots: () => void): void {
    if (place === 'ring') return this.next(1, 'ring', false, 1, lots)
    if (NOTHING_USED.some(words => words.test(place))) return lots()
    if (place === 'the other half of the first loop') return this.otherHalf(lots)
    if (place === 'the ch-loop over the slot') return this.next(1, 'loop', false, 1, lots)
    const below = /^the (?:st below next st|sts below next (\d+) sts)$/.exec(place)
    if (below) return this.below(Number(below[1] ?? 1), lots)
    const bridge = /^(?:the ch|each of the (\d+) chs)$/.exec(place)
    if (bridge) return this.bridge(Number(bridge[1] ?? 1), lots)
    if (/^(the|this half of the) loop you are in$/.test(place)) return this.thisLoop(lots)
    const single = /^next (?:(\d+) )?chs? of the ch-sp$/.exec(place)
    if (single) return this.singleChains(Number(single[1] ?? 1), lots)
    this.foundation(place, lots)
  }

  private below(places: number, lots: () => void): void {
    for (let i = 0; i < places; i++) {
      this.here()
      this.met++
      lots()
    }
  }

  private bridge(chains: number, lots: () => void): void {
    const here = this.here()
    // One at either end may be drawn together with the bag.
    const left = here.is === 'sp' ? here.chains - this.chainsUsed : 0
    if (chains !== left && chains !== left - 1) throw new Baffled(`there is no chain of ${chains} here, but ${here.is} of ${left}`)
    this.singleChains(chains, lots)
  }

  private thisLoop(lots: () => void): void {
    if (this.met > 0 || this.here().is !== 'sp') throw new Baffled('the hook is in no loop')
    this.met++
    lots()
  }

  private otherHalf(lots: () => void): void {
    if (this.order[0]?.is !== 'sp') throw new Baffled('the round did not begin in a loop')
    lots()
  }

  private singleChains(chains: number, lots: () => void): void {
    for (let i = 0; i < chains; i++) {
      if (this.here().is !== 'sp') throw new Baffled('no chains here')
      if (++this.chainsUsed >= this.here().chains) {
        this.chainsUsed = 0
        this.met++
      }
      lots()
    }
  }

  /** Places of a chain or a foundation with names of their own. */
  private foundation(place: string, lots: () => void): void {
    if (/^\d+\w\w ch from hook and (in|of) each ch across$/.test(place)) return this.everywhere(['ch'], lots)
    if (/^(\d+\w\w ch from hook|last ch|foundation st made (last|first)|same (ch|foundation st) as the first st)$/.test(place)) {
      const { is } = this.here()
      if (is !== 'ch' && is !== 'st' && (is !== 'under' || !place.startsWith('same')))
        throw new Baffled(`there is no chain here for "${place}"`)
      this.met++
      return lots()
    }
    throw new Baffled(`there is no such place as "${place}"`)
  }

  closesLoop(chains: number): void {
    this.makes({ is: 'sp', chains })
  }

  done(): readonly Place[] {
    const left = this.unworked()
    if (left > 0) throw new Baffled(`${left} places are left over`)
    if (this.made.length === 0) throw new Baffled('nothing was made')
    return this.made
  }
}

const OPENINGS = {
  evens: /^(?:sl st|ss) in next (?:st|ch-sp) to even the step$/i,
  turn: /^turn$/i,
  along: /^(turn, )?(?:sl st|ss) in next (?:st|(\d+) sts) to the new start$/i,
  skipped: /^(?:sk|miss) (\d+) chs? \(counts? as first (?:sl st|[a-z]+)\)$/i,
  chain: /^ch (\d+)(?: \((?:(does not count)|counts as first (sl st|\w+)(?: and ch (\d+))?)\))?(, turn|, do not turn)?$/i,
} as const
const CLOSING = /^(?:ch (\d+), )?([a-z]+) in first (?:sc|dc) to close the last loop$/
const JOIN = /^join with (?:sl st|ss) to (?:first (.+)|(?:top|\d+\w\w ch) of beg ch)$/
/** How long a taller stitch is, in chains, when it closes a loop; by its name in US terms. */
const CLOSES: Readonly<Record<string, number>> = { sc: 1, hdc: 2, dc: 3, tr: 4 }

/** What is done before the first stitch. */
interface Opened {
  readonly turned: boolean
  readonly along: number
  readonly counts?: { readonly spaceChains: number }
  readonly skipped: boolean
}

function opened(first: string, so: Opened): Opened | undefined {
  if (OPENINGS.evens.test(first)) return so
  if (OPENINGS.turn.test(first)) return { ...so, turned: true }
  const slips = OPENINGS.along.exec(first)
  if (slips) return { ...so, turned: so.turned || slips[1] !== undefined, along: Number(slips[2] ?? 1) }
  if (OPENINGS.skipped.test(first)) return { ...so, skipped: true }
  const chain = OPENINGS.chain.exec(first)
  if (!chain) return undefined
  return {
    ...so, turned: so.turned || chain[5] === ', turn', ...(chain[3] ? { counts: { spaceChains: Number(chain[4] ?? 0) } } : {}),
  }
}

const BEGINS
  = /^beg (?:(in same st as join|in first st)|in same ch-sp as join|in same st as last of these|in same (?:st|ch-sp) as this (?:sl st|ss)|in last (?:st|ch-sp) of the round before|at last (?:st|ch-sp) of the round before|at (?:the|first|that) (?:st|ch-sp)?(?: of the join| of this (?:sl st|ss))?): /i
/** More goes into the chain that the skipped ones stand on. */
const INTO_FIRST_CHAIN = /^(?:\w+ ?\w*|\(.*\)) in \d+\w\w ch from hook/i

/** A line in its three parts. */
interface Line {
  readonly so: Opened
  readonly body: string
  readonly ending: string | undefined
}

function partsOf(words: string): Line {
  const parts = cut(words, '; ')
  let so: Opened = { turned: false, along: 0, skipped: false }
  for (let next = opened(parts[0]!, so); parts.length > 1 && next; next = opened(parts[0]!, so)) {
    so = next
    parts.shift()
  }
  const last = parts.at(-1)!
  const ending = JOIN.test(last) || CLOSING.test(last) ? parts.pop() : undefined
  return { so, body: parts.join('; '), ending }
}

/** Begins where the words say, and what is left of them. */
function begun(working: Working, said: string): string {
  const beg = BEGINS.exec(said)
  if (!beg && /^beg /i.test(said)) throw new Baffled(`where does "${said}" begin?`)
  if (beg?.[1]) working.needsStitchHere()
  return beg ? said.slice(beg[0].length) : said
}

/** Works one line of words on an edge. */
export function worksLine(words: string, below: Left, terms: Terms, fans = 0): Left {
  const { so, body: said, ending } = partsOf(words)
  // Who passes the join by turns to the stitch made last, and comes to the join's own at the end.
  const past = /^beg (?:in|at) last (?:st|ch-sp) of the round before: /i.test(said) ? 1 : 0
  const working = new Working(below, terms, so.turned, fans, so.along + past)
  const body = begun(working, said)
  if (so.counts) working.startsWith(so.counts.spaceChains)
  if (so.skipped) working.skipsChains(below.edge.length > 1 && !INTO_FIRST_CHAIN.test(body))
  if (body) working.body(body)
  const closing = ending ? CLOSING.exec(ending) : undefined
  if (closing) working.closesLoop(Number(closing[1] ?? 0) + closes(closing[2]!, terms))
  const edge = working.done()
  return { edge, closed: ending !== undefined || (below.closed && !/ across\b/.test(words)), at: closing ? edge.length - 1 : 0 }
}

/** How many chains a taller stitch stands for when it closes a loop. */
function closes(name: string, terms: Terms): number {
  return CLOSES[STITCHES.us[(STITCHES[terms] as readonly string[]).indexOf(name)] ?? ''] ?? Number.NaN
}

/** What an edge comes to as a pattern counts it: `(32 sts, 2 ch-32 sps)`. */
export function countsAs({ edge }: Left, inLoops: boolean): string {
  const spaces = new Map<number, number>()
  for (const { is, chains } of edge) if (is === 'sp') spaces.set(chains, (spaces.get(chains) ?? 0) + 1)
  const number = [...spaces.values()].reduce((a, b) => a + b, 0)
  if (inLoops) return `(${number} ${number === 1 ? 'loop' : 'loops'})`
  const stitches = edge.length - number
  const said = [...spaces].map(([chains, n]) => `${n} ch-${chains} ${n === 1 ? 'sp' : 'sps'}`)
  return `(${[...(stitches > 0 || number === 0 ? [`${stitches} ${stitches === 1 ? 'st' : 'sts'}`] : []), ...said].join(', ')})`
}
