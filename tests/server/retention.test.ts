import { describe, expect, it } from 'vitest'
import { type Copy, KEPT, letGo, type Reason } from '../../server/library/retention'

const NOW = new Date('2026-09-30T12:00:00Z')
const DAY_MS = 86_400_000

function copy(why: Reason, at: number, bytes = 10): Copy {
  const madeAt = new Date(at).toISOString()
  return { name: `${madeAt.replace('Z', '').replace(/[:.]/g, '-')}.${why}.sqlite`, madeAt, why, bytes }
}
const ago = (why: Reason, days: number, bytes?: number) => copy(why, NOW.getTime() - days * DAY_MS, bytes)
const left = (copies: readonly Copy[], inUse: readonly string[] = [], most = 1e9, now = NOW) => {
  const gone = new Set(letGo(copies, now, new Set(inUse), most))
  return copies.filter(one => !gone.has(one))
}

describe('copies that are kept', () => {
  it('are those of seven days and of four weeks, the last of each', () => {
    const daily = Array.from({ length: 120 }, (_, i) => ago('daily', i / 2))
    const kept = left(daily)
    expect(kept.slice(0, KEPT.days).map(({ madeAt }) => madeAt.slice(0, 10))).toEqual(
      ['2026-09-30', '2026-09-29', '2026-09-28', '2026-09-27', '2026-09-26', '2026-09-25', '2026-09-24'])
    // Weeks end on Sundays: 27 and 20 September 2026 are such (ISO 8601).
    expect(kept.slice(KEPT.days).map(({ madeAt }) => madeAt.slice(0, 10))).toEqual(['2026-09-20', '2026-09-13'])
    expect(kept.every((one, i) => i === 0 || one.madeAt < kept[i - 1]!.madeAt)).toBe(true)
  })

  it('of one reason push out none of another', () => {
    const kept = left([ago('daily', 3), ago('before-update', 40), ago('before-restore', 50),
      ...Array.from({ length: 40 }, (_, i) => ago('asked', i / 100))])
    const count = (why: Reason) => kept.filter(one => one.why === why).length
    expect([count('daily'), count('before-update'), count('before-restore'), count('asked')]).toEqual([1, 1, 1, KEPT.asked])
  })

  it('are never the one in use, nor less than the newest, whatever room they take', () => {
    const old = ago('asked', 90, 500)
    const copies = [...Array.from({ length: 9 }, (_, i) => ago('asked', i, 500)), old]
    expect(left(copies, [old.name])).toContain(old)
    expect(left(copies, [], 1)).toEqual([copies[0]])
    expect(left(copies, [old.name], 1)).toEqual([copies[0], old])
    expect(left(copies, [], 1_100)).toEqual(copies.slice(0, 2))
  })

  it('made while the clock was years ahead push out none of the right time', () => {
    const ahead = Array.from({ length: 20 }, (_, i) => copy('daily', Date.UTC(2099, 0, 1 + i)))
    const right = Array.from({ length: 7 }, (_, i) => ago('daily', i))
    const kept = left([...ahead, ...right])
    for (const one of right) expect(kept).toContain(one)
  })
})
