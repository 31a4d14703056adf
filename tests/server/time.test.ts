import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { newDesign } from '../../core/bag/design/starter'
import { readDesign } from '../../core/bag/design/read'
import { dayAfter, daysBetween, mondayOf, weekdayOf } from '../../core/household/plan/days'
import { open } from '../../server/db/connection'
import { devicesIn, UNUSED_DAYS } from '../../server/db/devices'
import { repository } from '../../server/db/documents'
import { copiesOf, copyAll } from '../../server/library/copies'
import { copied } from '../../server/jobs/recordsJobs'

/*
 * Clocks that are wrong, set back, set forward; days that are 23 or 25 hours long, or begin at one in the morning; leap days; year 9999.
 */

const ZONES = ['UTC', 'Europe/Berlin', 'America/Sao_Paulo', 'Pacific/Apia', 'Africa/Cairo', 'Australia/Lord_Howe', 'America/St_Johns']

let folder: string
let path: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'records.sqlite')
  vi.stubEnv('FAIR_HOLLOW_DB', path)
  vi.resetModules()
})
afterEach(() => {
  vi.unstubAllEnvs()
  vi.useRealTimers()
  rmSync(folder, { recursive: true, force: true })
})

describe('days', () => {
  it('are reckoned with alike wherever the clock is changed at midnight, left out, or had twice', () => {
    const before = process.env.TZ
    for (const zone of ZONES) {
      process.env.TZ = zone
      fc.assert(fc.property(fc.integer({ min: 0, max: 36_500 }), fc.integer({ min: -800, max: 800 }), (start, days) => {
        const day = new Date(Date.UTC(1930, 0, 1 + start)).toISOString().slice(0, 10)
        const then = new Date(Date.UTC(1930, 0, 1 + start + days)).toISOString().slice(0, 10)
        expect(dayAfter(day, days)).toBe(then)
        expect(daysBetween(day, then)).toBe(days)
        expect(daysBetween(mondayOf(day), day)).toBe(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'].indexOf(weekdayOf(day)))
      }), { numRuns: 150 })
    }
    process.env.TZ = before
    if (before === undefined) delete process.env.TZ
    // Leap years of the Gregorian calendar (ISO 8601): 2028 is one, 2100 is none.
    expect([dayAfter('2028-02-28'), dayAfter('2100-02-28')]).toEqual(['2028-02-29', '2100-03-01'])
    expect(daysBetween('2028-02-28', '2028-03-01')).toBe(2)
  })
})

describe('what was thrown away', () => {
  it('is still there after a clock that was ten years ahead for some hours, and goes after its sixty days', async () => {
    const { designs } = await import('../../server/db/repositories')
    const { emptyTrash, TRASH_DAYS } = await import('../../server/library/emptyTrash')
    const { closeShared } = await import('../../server/db/connection')
    vi.useFakeTimers({ now: new Date('2026-09-01T12:00:00Z') })
    const { id } = designs().add(newDesign('Thrown away'))
    designs().remove(id)
    emptyTrash(new Date())
    const isThere = () => designs().inTrash().length === 1
    for (let hour = 0; hour < 12; hour++) emptyTrash(new Date(`2036-09-01T${String(hour).padStart(2, '0')}:00:00Z`))
    expect(isThere()).toBe(true)
    for (let day = 0; day < TRASH_DAYS; day++) emptyTrash(new Date(Date.UTC(2026, 8, 1 + day, 12)))
    expect(isThere()).toBe(true)
    for (const day of [1, 2]) emptyTrash(new Date(Date.UTC(2026, 8, day + TRASH_DAYS, 12)))
    expect(isThere()).toBe(false)
    closeShared()
  })
})

describe('a clock that is set', () => {
  it('back by years keeps saves and copies: the next copy is made, and none that is there goes for it', async () => {
    vi.doMock('../../server/jobs/workerPool', async original => ({
      ...await original<object>(),
      runJob: (_: string, { why, now }: { why: 'daily', now: number }) => Promise.resolve(copied({ path, why, now })),
    }))
    const { copyIfDue } = await import('../../server/library/chores')
    const { closeShared, openShared } = await import('../../server/db/connection')
    const designs = repository(openShared(), 'designs', readDesign)
    vi.useFakeTimers({ now: new Date('2031-03-01T12:00:00Z') })
    const { id } = designs.add(newDesign('Saved ahead'))
    await copyIfDue(new Date(), 3_600_000)
    vi.setSystemTime(new Date('2026-09-01T12:00:00Z'))
    expect(designs.save(id, 1, newDesign('Saved after')).kept).toBe(true)
    expect(await copyIfDue(new Date(), 3_600_000)).toContain('2026-09-01')
    expect(copiesOf(path).map(({ madeAt }) => madeAt.slice(0, 4))).toEqual(['2031', '2026'])
    closeShared()
  })

  it('to the last year that is written with four figures works', () => {
    vi.useFakeTimers({ now: new Date('9999-12-30T12:00:00Z') })
    const db = open(path)
    const designs = repository(db, 'designs', readDesign)
    const { id } = designs.add(newDesign('Late'))
    expect(designs.save(id, 1, newDesign('Later')).kept).toBe(true)
    const name = copyAll(db, path, 'asked', new Date())
    expect(copiesOf(path)).toMatchObject([{ name, madeAt: '9999-12-30T12:00:00.000Z' }])
    db.close()
  })

  it('forward for a while sends no phone away', () => {
    const db = open(path)
    const devices = devicesIn(db)
    const now = new Date('2026-09-01T12:00:00Z')
    const { token } = devices.pair('my phone', now)
    const ahead = new Date(now.getTime() + 10 * UNUSED_DAYS * 86_400_000)
    expect(devices.knownBy(token, ahead)).toBeUndefined()
    expect(devices.knownBy(token, now)?.name).toBe('my phone')
    db.close()
  })
})
