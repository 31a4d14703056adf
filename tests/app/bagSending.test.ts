import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { retryAfterMs } from '~/keeping/send/answer'
import { afterwards, type BagSending, type Happening, isUnsaved, nextStep, opened, troubleOf } from '~/keeping/send/bagSending'
import { queueFailed, queueStep } from '~/keeping/send/makeSending'
import { storedSending } from '~/keeping/send/sendBag'
import type { Design } from '../../core/bag/design/design'
import { newDesign } from '../../core/bag/design/starter'

/*
 * The reducer of a bag's saves against a model of the server, in every order of edits, saves, lost requests, lost answers, saves from
 * elsewhere and pages closed: nothing that was edited is lost, nothing is kept twice, and once answers come all agree.
 */

const FRESH = newDesign('Fresh')

/** A server as its routes promise it: a revision a state, and a save that was kept is known again by its id. */
class Server {
  revision = 1
  document: Design = FRESH
  readonly states: Design[] = [FRESH]
  private readonly known = new Map<string, number>()

  keep(document: Design): void {
    this.revision++
    this.document = document
    this.states.push(document)
  }

  save({ save, design }: NonNullable<BagSending['sent']>, from: number): Extract<Happening, { is: 'answered' }> {
    const known = this.known.get(save)
    if (known !== undefined) return { is: 'answered', answer: { is: 'kept', body: { revision: known } } }
    if (from !== this.revision) return { is: 'answered', answer: { is: 'overtaken' } }
    this.keep(structuredClone(design))
    this.known.set(save, this.revision)
    return { is: 'answered', answer: { is: 'kept', body: { revision: this.revision } } }
  }
}

const AWAY: Happening = { is: 'answered', answer: { is: 'away', words: ['The program does not answer.'] } }

/** A bag in hand, and what becomes of it as things happen. */
class Hand {
  readonly server = new Server()
  bag = opened({ revision: 1, base: FRESH, design: FRESH })
  /** The last name given here, and the last note given elsewhere. */
  mine = 'Fresh'
  theirs = ''
  private saves = 0

  happen(happened: Happening): void {
    this.bag = afterwards(this.bag, happened)
  }

  edit(to: string): void {
    this.mine = to
    this.happen({ is: 'edited', design: { ...this.bag.design, name: to } })
  }

  elsewhere(to: string, clashes = false): void {
    this.theirs = to
    this.server.keep({ ...this.server.document, ...(clashes ? { name: to } : { note: to }) })
  }

  hear(): void {
    if (this.server.revision > this.bag.revision)
      this.happen({ is: 'theirs', theirs: { revision: this.server.revision, document: this.server.document } })
  }

  /** Closed and opened again, from what is written down. */
  reopen(): void {
    const { unsaved, ...stored } = structuredClone(storedSending(this.bag))
    this.bag = opened(unsaved ? stored : { ...stored, base: stored.design })
  }

  /** Does what comes next; the request or its answer may be lost, and there may be an edit while it is on its way. */
  step(lost: 'nothing' | 'request' | 'answer', meanwhile?: string): void {
    const next = nextStep(this.bag)
    if (next === 'fetch') {
      const theirs = { revision: this.server.revision, document: structuredClone(this.server.document) }
      this.happen({ is: 'theirs', theirs: lost === 'nothing' ? theirs : undefined })
    }
    if (next !== 'send') return
    const save = this.bag.sent ?? { save: `save-${++this.saves}`, design: this.bag.design }
    this.happen({ is: 'sending', save })
    const answer = lost === 'request' ? AWAY : this.server.save(save, this.bag.revision)
    if (meanwhile !== undefined) this.edit(meanwhile)
    this.happen(lost === 'nothing' ? answer : AWAY)
  }

  /** Until the network is quiet: every answer comes. */
  calmDown(): void {
    for (let i = 0; i < 20 && nextStep(this.bag); i++) this.step('nothing')
  }
}

const name = fc.constantFrom('Apple', 'Birch', 'Clover', 'Fresh')
const doing = fc.oneof(
  { weight: 4, arbitrary: fc.record({ do: fc.constant('edit' as const), name }) },
  {
    weight: 6,
    arbitrary: fc.record({
      do: fc.constant('step' as const), lost: fc.constantFrom('nothing' as const, 'request' as const, 'answer' as const),
      meanwhile: fc.option(name, { nil: undefined }),
    }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constantFrom('elsewhere', 'hear', 'reopen'), name }) },
)
type Doing = typeof doing extends fc.Arbitrary<infer D> ? D : never

function go(hand: Hand, doings: readonly Doing[], clash: (i: number) => boolean): void {
  for (const [i, one] of doings.entries()) {
    if (one.do === 'edit') hand.edit(one.name)
    else if (one.do === 'step') hand.step(one.lost, one.meanwhile)
    else if (one.do === 'elsewhere') hand.elsewhere(`${one.name} ${i}`, clash(i))
    else hand[one.do]()
  }
}

describe('a bag and its saves', () => {
  it('agree once answers come, whatever was lost before: the last of each side is kept, on both sides', () => {
    fc.assert(fc.property(fc.array(doing, { maxLength: 30 }), (doings) => {
      const hand = new Hand()
      go(hand, doings, () => false)
      hand.calmDown()
      hand.hear()
      expect(hand.bag.phase).toBe('saved')
      expect(isUnsaved(hand.bag)).toBe(false)
      expect(hand.bag.design).toEqual(hand.server.document)
      expect(hand.bag.revision).toBe(hand.server.revision)
      expect([hand.bag.design.name, hand.bag.design.note]).toEqual([hand.mine, hand.theirs])
      expect(troubleOf(hand.bag, true)).toEqual([])
    }), { numRuns: 2000, seed: 33 })
  })

  it('that clash are told, and nothing is lost: what was written last here is here, or the server had it', () => {
    let clashed = 0
    fc.assert(fc.property(fc.array(doing, { maxLength: 30 }), (doings) => {
      const hand = new Hand()
      go(hand, doings, i => i % 2 === 0)
      hand.calmDown()
      hand.hear()
      if (hand.bag.phase === 'overtaken') {
        clashed++
        expect(hand.bag.design.name).toBe(hand.mine)
        expect(troubleOf(hand.bag, true).join()).toContain('changed elsewhere')
        return
      }
      expect(hand.bag.phase).toBe('saved')
      expect(hand.bag.design).toEqual(hand.server.document)
      expect([hand.bag.design, ...hand.server.states].some(state => state.name === hand.mine)).toBe(true)
    }), { numRuns: 1000, seed: 34 })
    expect(clashed).toBeGreaterThan(50)
  })

  it('that were not answered are sent again as they were, and kept once', () => {
    const hand = new Hand()
    hand.edit('Apple')
    hand.step('answer')
    hand.edit('Birch')
    hand.calmDown()
    expect(hand.server.states.map(state => state.name)).toEqual(['Fresh', 'Apple', 'Birch'])
  })

  it.each([
    [{ is: 'refused', words: ['Too long.'] }, 'refused', ['Too long.']],
    [{ is: 'gone' }, 'overtaken', [expect.stringContaining('deleted elsewhere')]],
    [{ is: 'unknown' }, 'overtaken', [expect.stringContaining('deleted elsewhere')]],
  ] as const)('that are not taken wait for the maker: %j', (answer, phase, trouble) => {
    const hand = new Hand()
    hand.edit('Apple')
    hand.happen({ is: 'sending', save: { save: 'one', design: hand.bag.design } })
    hand.happen({ is: 'answered', answer })
    expect([hand.bag.phase, nextStep(hand.bag), hand.bag.sent]).toEqual([phase, undefined, undefined])
    expect(troubleOf(hand.bag, true)).toEqual(trouble)
    hand.edit('Birch')
    // What was refused can be mended; what is gone is for the maker to decide.
    expect(nextStep(hand.bag)).toBe(phase === 'refused' ? 'send' : undefined)
    expect(hand.bag.design.name).toBe('Birch')
    expect(storedSending(hand.bag).why).toBe(phase === 'refused' ? undefined : 'gone')
  })

  it('say where the browser keeps nothing that leaving loses them', () => {
    const hand = new Hand()
    hand.edit('Apple')
    hand.step('request')
    expect(troubleOf(hand.bag, true)).toEqual(['The program does not answer.', 'What you changed is kept here.'])
    expect(troubleOf(hand.bag, false)[1]).toContain('on this page alone')
  })
})

describe('the queue of a make', () => {
  it.each([
    ['gone', false, 'forget'], ['gone', true, 'forget'], ['unknown', false, 'from-beginning'], ['unknown', true, 'later'],
    ['overtaken', false, 'later'],
  ] as const)('%s, its beginning among what was sent: %s, asks for: %s', (is, hadBeginning, step) => {
    expect(queueStep({ is }, hadBeginning)).toBe(step)
  })

  it('waits longer with every failure, half a minute at most, and says why it was refused', () => {
    const one = queueFailed({ failures: 0 }, { is: 'refused', words: ['Too much.'] })
    const two = queueFailed(one, { is: 'away', words: ['Nobody there.'] })
    expect([one, two]).toEqual([{ failures: 1, refused: 'Too much.' }, { failures: 2, refused: 'Too much.' }])
    expect([0, 1, 2, 5, 6, 60].map(failures => retryAfterMs(failures, 1_000))).toEqual([1_000, 1_000, 2_000, 16_000, 30_000, 30_000])
  })
})
