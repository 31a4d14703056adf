import type { Loop } from '../../things/round/step'
import { STITCH_KINDS, type StitchKind, STITCHES, type Terms } from '../../things/stitch/dictionary'
import { stitchesIn } from '../../things/stitch/translate'
import { type Manner, placesOf } from './openingWords'
import type { Clause, Ending, Into, Sentence, Sort, Working } from './sentence'

/** A short form and what it stands for. */
export interface Abbreviation {
  readonly short: string
  readonly long: string
}

/** Stitches and terms in a pattern's sentences and texts, gathered from them: nothing is guessed from how words look. */
export class Spoken {
  readonly kinds = new Set<StitchKind>()
  private readonly sorts = new Set<Sort>()
  private readonly posts = new Map<string, { readonly kind: StitchKind, readonly from: 'front' | 'back' }>()
  private readonly drawn = new Map<string, { readonly kind: StitchKind, readonly over: number, readonly loop: Loop }>()
  private readonly long = new Set<StitchKind>()
  private readonly reverse = new Set<StitchKind>()
  private readonly fans = new Map<string, Working>()
  private gaps = false
  private skips = false
  private begs = false
  private again = false

  constructor(private readonly manner: Manner) {}

  /** Gathers what a round's sentence says. */
  sentence({ opening, clauses, ending, count }: Sentence): void {
    if (opening.chains > 0) this.kinds.add('ch')
    if (opening.along > 0 || opening.evens) this.kinds.add('slst')
    if (opening.counts) this.kinds.add(opening.counts.kind)
    if (opening.skipped) this.passes('ch')
    if (opening.from) this.begs = true
    clauses.forEach(clause => this.clause(clause))
    this.ending(ending)
    if (count.spaces.length > 0 && !count.inLoops) this.sorts.add('space')
  }

  /** Gathers the stitches that a text names in curly brackets, before they are put into words. */
  text(text: string): void {
    for (const kind of stitchesIn(text)) this.kinds.add(kind)
  }

  /** Rounds that come again are said so. */
  repeats(): void {
    this.again = true
  }

  private passes(sort: Sort): void {
    this.skips = true
    this.sorts.add(sort)
  }

  private ending(ending: Ending): void {
    if (ending.end === 'joinChain') this.begs = true
    if (ending.end === 'join' || ending.end === 'joinChain' || ending.end === 'joinSpace') this.kinds.add('slst')
    if (ending.end === 'joinSpace') this.sorts.add('space')
    if (ending.end !== 'closing') return
    this.kinds.add(ending.kind)
    if (ending.chains > 0) this.kinds.add('ch')
  }

  private clause(clause: Clause): void {
    switch (clause.say) {
      case 'repeat':
        if (this.manner.repeats === 'asterisk') this.again = true
        clause.clauses.forEach(one => this.clause(one))
        return
      case 'chain':
        this.kinds.add('ch')
        return
      case 'skip':
        this.passes(clause.sort)
        return
      case 'together':
        this.kinds.add(clause.kind)
        this.drawn.set(`${clause.loop}${clause.kind}${clause.over.length}`, {
          kind: clause.kind, over: clause.over.length, loop: clause.loop,
        })
        clause.over.forEach(sort => this.sorts.add(sort === 'firstChain' || sort === 'lastChain' ? 'ch' : sort))
        return
      case 'work':
        this.working(clause)
    }
  }

  private working({ what, loop, into, backwards, rows, ...clause }: Working): void {
    for (const lot of what) this.kinds.add('chains' in lot ? 'ch' : lot.kind)
    const [first] = what
    if (first && !('chains' in first)) this.manners(first.kind, loop, into.at === 'below' || into.at === 'gapBelow', backwards === true)
    if (rows) this.fans.set(JSON.stringify(what) + rows, { what, loop, into, rows, ...clause })
    this.places(into)
  }

  /** How a stitch is worked, where that is not as usual. */
  private manners(kind: StitchKind, loop: Loop, isLong: boolean, backwards: boolean): void {
    if (loop === 'frontPost' || loop === 'backPost')
      this.posts.set(`${loop}${kind}`, { kind, from: loop === 'frontPost' ? 'front' : 'back' })
    if (isLong) this.long.add(kind)
    if (backwards) this.reverse.add(kind)
  }

  private places(into: Into): void {
    if (into.at === 'gap') this.gaps = true
    if (into.at === 'next' || into.at === 'same') this.sorts.add(into.sort)
    if (into.at === 'each') into.sorts.forEach(sort => this.sorts.add(sort))
    if (into.at === 'singleChain') this.sorts.add('space')
  }

  /** The stitches in order, each with its name in the other vocabulary where that differs. */
  private stitches(): Abbreviation[] {
    const { terms } = this.manner
    const other: Terms = terms === 'us' ? 'uk' : 'us'
    return STITCH_KINDS.filter(kind => this.kinds.has(kind)).map((kind) => {
      const [here, there] = [STITCHES[kind][terms], STITCHES[kind][other]]
      const differs = here.name !== there.name ? ` (${other.toUpperCase()}: ${there.name})` : ''
      return { short: here.abbreviation, long: `${here.name}${differs}` }
    })
  }

  /** Every abbreviation that is used, and no other. */
  abbreviations(): Abbreviation[] {
    const { terms } = this.manner
    const when = (said: boolean, short: string, long: string) => (said ? [{ short, long }] : [])
    return [
      ...this.stitches(),
      ...[...this.drawn.values()].map(({ kind, over, loop }) => ({
        short: `${postOf(loop)}${STITCHES[kind][terms].abbreviation}${over}tog`,
        long: `${over} ${STITCHES[kind][terms].name} worked together, a decrease`,
      })),
      ...when(this.sorts.has('space'), 'ch-sp', 'chain space'), ...when(this.gaps, 'sp', 'the space between two stitches, not a stitch'),
      ...when(this.skips, terms === 'us' ? 'sk' : 'miss', terms === 'us' ? 'skip (UK: miss)' : 'miss (US: skip)'),
      ...when(this.begs, 'beg', 'beginning, begin'), ...when(this.again, 'rep', 'repeat'),
      { short: placesOf('st', 1) + ', ' + placesOf('st', 2), long: 'stitch, stitches' },
    ]
  }

  /** Stitches that need a line of their own: how each is worked. */
  special(): Abbreviation[] {
    const { terms } = this.manner
    const short = (kind: StitchKind) => STITCHES[kind][terms].abbreviation
    return [
      ...[...this.posts.values()].map(({ kind, from }) => ({
        short: `${from === 'front' ? 'FP' : 'BP'}${short(kind)}`,
        long:
          `${STITCHES[kind][terms].name} around the post: put the hook in from the ${from}, `
          + `${from === 'front' ? 'behind' : 'in front of'} `
          + `the stem of the stitch below and out at the ${from} again, and work the stitch around that stem.`,
      })),
      ...[...this.long].map(kind => ({
        short: `long ${short(kind)}`,
        long:
          `work ${short(kind)} into the place named, one round lower than usual: draw the first loop up to the height of this `
          + 'round, so '
          + 'that it lies over the fabric without pulling.',
      })),
      ...[...this.reverse].map(kind => ({
        short: `reverse ${short(kind)}`,
        long:
          `${short(kind)} worked backwards along the edge, into the stitch behind the last one (also called crab stitch). Right-handed `
          + 'makers go from left to right, left-handed ones from right to left.',
      })),
      ...[...this.fans.values()].map(fan => ({ short: 'fan', long: fanWords(fan, terms) })),
    ]
  }
}

function postOf(loop: Loop): string {
  return loop === 'frontPost' ? 'FP' : loop === 'backPost' ? 'BP' : ''
}

/** A fan is worked back and forth over its own stitches, each row begun with a chain as tall that counts. */
function fanWords({ what, rows = 1 }: Working, terms: Terms): string {
  const [first] = what
  if (!first || 'chains' in first) return ''
  const { abbreviation } = STITCHES[first.kind][terms]
  const left = first.times - 1
  return (
    `${first.times} ${abbreviation} in the loop, then [turn, ch ${STITCHES[first.kind].heightChains} (counts as first `
    + `${abbreviation}), `
    + `${abbreviation} in next ${left} ${placesOf('st', left)}] ${rows - 1} ${rows === 2 ? 'time' : 'times'}. It counts as `
    + `${first.times} sts, those of its last row.`
  )
}
