import { type Start, traitsOf } from '../../parts/part/start'
import { type Edge, PLACE_KINDS, type PlaceKind } from '../../things/round/edge'
import type { Reading } from '../../things/round/readingOrder'
import { skippedRun } from '../../things/round/workedRound'
import type { Aim, ChainStep, GroupStep, Landmark, SkipStep, Step, StitchStep, TogetherStep } from '../../things/round/step'
import type { Clause, Into, Lot, Sort } from './sentence'
import { repeated, runsTogether, turnsTogether } from './mergeClauses'

const SORTS: Readonly<Record<PlaceKind, Sort>> = {
  stitch: 'st', space: 'space', ring: 'ring', chain: 'ch', underside: 'underside', rowEnd: 'rowEnd', hole: 'hole',
}

/** Landmarks that are sorts of places, whatever the edge says. */
const SORT_OF: Partial<Record<Landmark, Sort>> = {
  chains: 'ch', underside: 'underside', rowEnds: 'rowEnd', holes: 'hole', loop: 'loop',
}

/** Landmarks that are a place of their own. */
const PLACE_OF: Partial<Record<Landmark, Into>> = {
  firstChain: { at: 'firstChain' }, lastChain: { at: 'lastChain' }, firstChainAgain: { at: 'firstChainAgain' },
  overBridge: { at: 'overBridge' }, thisLoop: { at: 'thisLoop' }, thisHalf: { at: 'thisHalf' }, otherHalf: { at: 'otherHalf' },
}

/**
 * A finger that goes along the edge below as the hook does, and says of every step what lies there: stitches, spaces, chains. It
 * makes nothing; what is made is `work`'s.
 */
export class Walk {
  private chainsUsed = 0
  private gapAt = -1

  /** @param reading where along the edge it begins: 1 if a starting chain took the first place */
  constructor(
    private readonly on: Edge,
    private readonly order: Reading,
    private readonly start: Start,
    private reading = 0,
  ) {}

  /** Steps as clauses, runs of the same gathered. */
  say(steps: readonly Step[]): Clause[] {
    return runsTogether(steps.flatMap(step => this.step(step)))
  }

  private step(step: Step): Clause[] {
    switch (step.do) {
      case 'stitch':
        return this.stitch(step)
      case 'group':
        return [this.group(step)]
      case 'together':
        return [this.together(step)]
      case 'skip':
        return this.skip(step)
      case 'chain':
        return [{ say: 'chain', chains: step.chains }]
      case 'repeat':
        return this.repeat(step.times, step.steps)
    }
  }

  private repeat(times: number, steps: readonly Step[]): Clause[] {
    // Where the edge does not matter, every turn reads like the first.
    if (times > 1 && (this.isPlain ? !hasGaps(steps) : speaksForItself(steps))) {
      const turn = this.say(steps)
      for (let i = 1; i < times; i++) this.passBy(steps)
      return repeated(times, turn)
    }
    return turnsTogether(Array.from({ length: times }, () => this.say(steps)))
  }

  /** Whether the edge is stitches alone. */
  private get isPlain(): boolean {
    const { kinds } = this.on
    this.plain ??= kinds.every(kind => kind === 0)
    return this.plain
  }

  private plain: boolean | undefined

  /** Goes on over what steps use up. */
  private passBy(steps: readonly Step[]): void {
    for (const step of steps) {
      const spaces = 'aim' in step && step.aim === 'space' ? (step.do === 'stitch' ? step.times : 1) : 0
      for (let i = 0; i < spaces; i++) {
        this.passTops()
        this.reading++
      }
      this.reading += usedBy(step)
    }
  }

  /** Passes the tops before the next space. */
  private passTops(): void {
    while (this.reading < this.on.count && this.sortAt(this.placeHere()) === 'st') this.reading++
  }

  private placeHere(ahead = 0): number {
    const reading = Math.min(this.reading + ahead, this.on.count - 1)
    return this.order.placeAt(Math.max(reading, 0))
  }

  private sortAt(place: number): Sort {
    const sort = SORTS[PLACE_KINDS[this.on.kinds[place]!]!]
    return sort === 'ch' && traitsOf(this.start).stitched ? 'st' : sort
  }

  /** The sort of the place at the hook, as a landmark or the edge has it. */
  private sortHere(landmark: Landmark | undefined): Sort {
    const named = landmark && SORT_OF[landmark]
    if (named) return named === 'ch' && traitsOf(this.start).stitched ? 'st' : named
    return this.sortAt(this.placeHere())
  }

  private isRing(): boolean {
    return this.sortAt(this.placeHere()) === 'ring'
  }

  /** Takes the next place of an aim, and says what it is. */
  private take(aim: Aim, landmark: Landmark | undefined): Into {
    const named = landmark && PLACE_OF[landmark]
    if (aim === 'start' || aim === 'same')
      return named ?? { at: 'same', sort: (landmark && SORT_OF[landmark]) ?? this.sortAt(this.placeHere(-1)) }
    if (aim === 'space') this.passTops()
    const sort = aim === 'space' && this.sortHere(landmark) === 'st' ? 'space' : this.sortHere(landmark)
    if (aim === 'chains') return this.takeChain()
    if (!this.isRing()) this.reading++
    if (aim === 'below') return { at: 'below' }
    return named ?? { at: 'next', sort }
  }

  private takeChain(): Into {
    const chains = Math.max(this.on.chains[this.placeHere()]!, 1)
    if (++this.chainsUsed >= chains) {
      this.chainsUsed = 0
      this.reading++
    }
    return { at: 'singleChain' }
  }

  /** The gap before the place at the hook. */
  private gap(deep: boolean): Into {
    const before = this.order.neighbourAt(this.reading - 1)
    const after = this.order.neighbourAt(this.reading)
    if (deep) {
      const { nth, number } = skippedRun(this.on, before, after) ?? { nth: 1, number: 1 }
      return { at: 'gapBelow', nth, of: number }
    }
    const again = this.gapAt === this.reading
    this.gapAt = this.reading
    return { at: 'gap', between: this.sharesPlace(before) || this.sharesPlace(after) ? 'groups' : 'sts', again }
  }

  /** Whether a place stands with a neighbour on one place below. */
  private sharesPlace(place: number): boolean {
    const { from, count } = this.on
    return place >= 0 && from[place]! >= 0 && (from[place] === from[place - 1] || (place + 1 < count && from[place] === from[place + 1]))
  }

  private stitch(step: StitchStep): Clause[] {
    const { kind, times, aim = 'next', loop = 'both', landmark, backwards } = step
    const more = { loop, ...(backwards ? { backwards } : {}) }
    const what: Lot[] = [{ kind, times: 1 }]
    if (landmark === 'foundation') {
      this.reading += times
      return [{ say: 'work', what, into: { at: 'foundation' }, places: times, ...more }]
    }
    if (landmark === 'bridge') {
      for (let i = 0; i < times; i++) this.takeChain()
      return [{ say: 'work', what, into: { at: 'bridge', chains: times }, places: times, ...more }]
    }
    if (aim === 'same' || aim === 'gap' || aim === 'gapBelow' || aim === 'start') {
      const into = aim === 'gap' || aim === 'gapBelow' ? this.gap(aim === 'gapBelow') : this.take(aim, landmark)
      return [{ say: 'work', what: [{ kind, times }], into, places: 1, ...more }]
    }
    return this.runs(times, aim, landmark).map(({ into, places }) => ({ say: 'work', what, into, places, ...more }))
  }

  /** The places that so many stitches take, those of one sort together. */
  private runs(times: number, aim: Aim, landmark: Landmark | undefined): { into: Into, places: number }[] {
    if (this.isPlain && aim === 'next' && !landmark) {
      this.reading += times
      return [{ into: { at: 'next', sort: 'st' }, places: times }]
    }
    const found: { into: Into, places: number }[] = []
    for (let i = 0; i < times; i++) {
      const into = this.take(aim, landmark)
      const last = found.at(-1)
      const runsOn = last && last.into.at === into.at && ('sort' in last.into ? last.into.sort : '') === ('sort' in into ? into.sort : '')
      if (runsOn) last.places++
      else found.push({ into, places: 1 })
    }
    return found
  }

  private group({ steps, aim = 'next', loop = 'both', landmark, rows }: GroupStep): Clause {
    const chainAtHook = this.on.count === 1 && this.on.kinds[0] === PLACE_KINDS.indexOf('chain')
    const into = aim === 'gap' ? this.gap(false) : this.take(aim, landmark)
    return {
      say: 'work', what: steps.map(lotOf), loop, into: chainAtHook && into.at === 'next' ? { at: 'firstChain' } : into, places: 1,
      ...(rows && rows > 1 ? { rows } : {}),
    }
  }

  private together({ kind, over, loop = 'both', chain }: TogetherStep): Clause {
    const sorts = Array.from({ length: over }, (_, i): Sort | 'firstChain' | 'lastChain' => {
      const single = i === 0 && (chain === 'last' || chain === 'both')
        ? 'lastChain'
        : i === over - 1 && (chain === 'first' || chain === 'both') ? 'firstChain' : undefined
      if (single) {
        this.takeChain()
        return single
      }
      const into = this.take('next', undefined)
      return into.at === 'next' ? into.sort : 'st'
    })
    return { say: 'together', kind, loop, over: sorts }
  }

  private skip({ places, of, aim }: SkipStep): Clause[] {
    return runsTogether(
      Array.from({ length: places }, () => {
        if (aim) this.passTops()
        const sort = of ?? this.sortHere(undefined)
        this.reading++
        return { say: 'skip', sort, places: 1 }
      }),
    )
  }
}

function lotOf(part: StitchStep | ChainStep): Lot {
  return part.do === 'chain' ? { chains: part.chains } : { kind: part.kind, times: part.times }
}

/** Whether the words of steps are the same whatever lies below: chains, and what goes into loops. */
function speaksForItself(steps: readonly Step[]): boolean {
  return steps.every(step => step.do === 'chain' || ((step.do === 'stitch' || step.do === 'group') && step.landmark === 'loop'))
}

/** Whether steps go into gaps, which read differently from turn to turn. */
function hasGaps(steps: readonly Step[]): boolean {
  return steps.some(
    step => ('aim' in step && (step.aim === 'gap' || step.aim === 'gapBelow')) || (step.do === 'repeat' && hasGaps(step.steps)),
  )
}

/** How many places a step uses up on an edge of stitches. */
function usedBy(step: Step): number {
  switch (step.do) {
    case 'stitch':
      return step.aim === undefined || step.aim === 'next' || step.aim === 'below' ? step.times : 0
    case 'group':
      return step.aim === undefined || step.aim === 'next' ? 1 : 0
    case 'together':
      return step.over
    case 'skip':
      return step.places
    case 'chain':
      return 0
    case 'repeat':
      return step.times * step.steps.reduce((sum, one) => sum + usedBy(one), 0)
  }
}
