import { describe, expect, it } from 'vitest'
import { demoDesigns } from '../../../tests/pattern/spokenOf'
import { draft } from '../../bag/draft/draft'
import { countAfter, tapeAfter } from './checks'
import { aheadOf, alikeAfter, upcomingIn } from './upcoming'
import { lookWordsAt } from './lookFrequency'
import { routeOf } from './route'

const MANNER = { terms: 'us', repeats: 'brackets' } as const
const roadTo = (file: string) => routeOf(draft(demoDesigns().find(({ name }) => name === file)!.design))
const pouch = roadTo('seed-head-pouch.json')
const round = (road: typeof pouch, number: number) => road.legs[road.at.get(`r${number}`)!]!

describe('where a count pays (craft 17)', () => {
  const asked = pouch.legs.map(leg => countAfter(pouch, leg)).filter(one => one !== undefined)

  it('is at the floor\'s end, before slots or eyelets, and after rounds that add or take away', () => {
    const base = pouch.draft.parts[0]!.rounds.length
    expect(asked.find(one => one.round === base)!.why).toContain('everything above stands on this count')
    const casing = pouch.draft.parts.find(part => part.casing)!
    expect(asked.some(one => one.round === casing.firstRound - 1)).toBe(true)
    expect(asked.some(one => one.round === 3)).toBe(true)
    expect(asked.length).toBeLessThan(pouch.draft.rounds.length / 2)
  })

  it('is asked before, in and after nets, casings, handles and textures, and not oftener', () => {
    const roundsOf = (file: string) => {
      const road = roadTo(file)
      return road.legs.flatMap(leg => countAfter(road, leg)?.round ?? [])
    }
    // Pouch, by hand: increases (early ones, then every third), the floor's end at 13, ten plain rounds, then before and after each of
    // adjusting round, casing and ruffle.
    expect(roundsOf('seed-head-pouch.json')).toEqual([3, 4, 6, 9, 12, 13, 24, 39, 40, 41, 42, 43])
    // Net: before it at 13, its first round, every third, its last.
    expect(roundsOf('onion-net.json')).toEqual([3, 4, 6, 9, 10, 13, 14, 16, 19, 22, 25, 28, 30])
    // Tote: before its slots at 51, their chains' round, and the three that draw the corners.
    expect(roundsOf('apple-tote.json').filter(number => number > 42)).toEqual([51, 52, 53, 54, 55])
  })

  it('says how many, of what, and how to count them', () => {
    const third = asked.find(one => one.round === 3)!
    expect(third).toMatchObject({ planned: 18, what: 'stitches' })
    expect(third.how).toContain('It goes 6 times 3.')
    const net = roadTo('onion-net.json')
    const loops = net.legs.map(leg => countAfter(net, leg)).find(one => one?.what === 'loops')
    expect(loops?.how).toContain('the one at the hook too')
  })
})

describe('counting a round that is not joined, or no floor', () => {
  const asked = (file: string) => {
    const road = roadTo(file)
    return road.legs.flatMap(leg => countAfter(road, leg) ?? [])
  }

  it('warns of no join where there is none: in a spiral, and along rows', () => {
    const basket = asked('pear-basket.json')
    const { rounds } = roadTo('pear-basket.json').draft
    const spiral = rounds.filter(({ worked }) => worked.round.join === 'spiral').map(({ number }) => number)
    expect(basket.some(({ round: number }) => spiral.includes(number))).toBe(true)
    const counted = basket.filter(({ what }) => what === 'stitches')
    for (const { round: number, how } of counted) expect(how.includes('the join is no stitch')).toBe(!spiral.includes(number))
    expect(asked('lunch-wrap.json')[0]!.how).toContain('from one end to the other')
  })

  it('speaks of a floor where there is one', () => {
    expect(asked('pear-basket.json').some(({ why }) => why.startsWith('The floor is done'))).toBe(true)
    expect(asked('lunch-wrap.json').map(({ why }) => why).join(' ')).not.toContain('floor')
  })
})

describe('where the tape pays', () => {
  it('is at the end of the floor and after ten rounds of wall', () => {
    const base = pouch.draft.parts[0]!
    expect(tapeAfter(pouch, round(pouch, base.rounds.length))).toMatchObject({ what: 'base-width', plannedCm: base.size.floor!.width.cm })
    expect(tapeAfter(pouch, round(pouch, 3))).toBeUndefined()
    const wall = pouch.draft.parts.find(part => part.rounds.length >= 10 && part !== base)!
    expect(tapeAfter(pouch, round(pouch, wall.firstRound + 9))).toMatchObject({ what: 'height' })
  })
})

describe('what must not be missed', () => {
  it('is told with the beat it comes with', () => {
    for (const { name, design } of demoDesigns()) {
      const road = routeOf(draft(design))
      road.legs.forEach((leg, index) => {
        const beats = leg.beats()
        for (const one of upcomingIn(road, index, MANNER)) {
          expect(one.at, `${name} ${leg.id} ${one.sort}`).toBeGreaterThanOrEqual(0)
          expect(one.at).toBeLessThanOrEqual(beats.length)
          if (one.sort === 'join') expect(beats[one.at]!.said.say).toBe('ending')
          if (one.sort === 'colour') expect(beats[one.at]!.said.say).toBe('doing')
        }
      })
    }
  })

  it('counts down to it', () => {
    const index = pouch.legs.findIndex(leg => leg.line(MANNER)?.after)
    const coming = upcomingIn(pouch, index, MANNER)
    const change = coming.find(({ sort }) => sort === 'colour')!
    expect(change.what).toContain('change to')
    expect(aheadOf(coming, change.at - 2).find(({ sort }) => sort === 'colour')!.beats).toBe(2)
    expect(aheadOf(coming, change.at + 1).some(({ sort }) => sort === 'colour')).toBe(false)
  })

  it('counts the television rounds that follow', () => {
    const wall = pouch.draft.parts[2]!
    const index = pouch.at.get(`r${wall.firstRound}`)!
    expect(alikeAfter(pouch, index, MANNER)).toBe(wall.rounds.length - 1)
  })
})

describe('is it meant to look like this?', () => {
  it('has a sentence for every round of every demo bag', () => {
    for (const { name, design } of demoDesigns()) {
      const road = routeOf(draft(design))
      if (road.draft.sizes.height.cm < 5) continue
      for (const leg of road.legs.filter(({ sort }) => sort === 'round'))
        expect(lookWordsAt(road, leg).join(' ').length, `${name} ${leg.id}`).toBeGreaterThan(10)
    }
  })
})
