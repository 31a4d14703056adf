import { describe, expect, it, vi } from 'vitest'
import { askedFor, hostOf, isLoopback } from '../../server/door/address'
import { contentPolicy, cookieOf, type Door, headsFor, isRecords, passes, pathOf, tokenIn } from '../../server/door/gate'
import { certificateIn, listenWords } from '../../server/door/listening'
import { OPEN_MINUTES, Pairing } from '../../server/door/pairing'
import { LONGEST_WAIT_MS, TryLimiter } from '../../server/door/tryLimiter'
import { troubleOf } from '../../server/db/trouble'

const HERE: Door = { inHouse: false, address: '127.0.0.1', port: 3000, secure: false }
const HOUSE: Door = { inHouse: true, address: '192.168.1.20', port: 3000, secure: false }

function asked(door: Door, headers: Record<string, string>, url = '/api/designs', method = 'GET') {
  const passing = passes({ headers, url, method }, door)
  return passing.passes ? 'passes' : passing.status
}

describe('the gate', () => {
  it('lets in by the program\'s own names alone: no name that a stranger made to point here (DNS rebinding)', () => {
    for (const host of ['localhost:3000', '127.0.0.1:3000', '127.1.2.3:3000', '[::1]:3000', 'fair.localhost:3000', 'localhost'])
      expect(asked(HERE, { host }), host).toBe('passes')
    for (const host of ['evil.example', 'evil.example:3000', '192.168.1.20:3000', 'localhost.evil.example', '127.0.0.1.evil.example', '',
      'a b', '0.0.0.0:3000'])
      expect(asked(HERE, { host }), host).toBe(421)
    expect(asked(HERE, {})).toBe(421)
    expect(asked(HOUSE, { host: '192.168.1.20:3000' })).toBe('passes')
    for (const host of ['192.168.1.20', '192.168.1.20:80', '192.168.1.21:3000', 'evil.example:3000', 'localhost:3000'])
      expect(asked(HOUSE, { host }), host).toBe(421)
    const anywhere = { ...HOUSE, address: '0.0.0.0' }
    expect([asked(anywhere, { host: '10.0.0.7:3000' }), asked(anywhere, { host: 'evil.example:3000' })]).toEqual(['passes', 421])
    vi.stubEnv('FAIR_HOLLOW_NAMES', 'hollow.local, other.local')
    expect(asked(HOUSE, { host: 'hollow.local:3000' })).toBe('passes')
    vi.unstubAllEnvs()
  })

  it('turns other sites\' pages away, reading as writing, by origin, scheme and what the browser says', () => {
    const host = 'localhost:3000'
    expect(asked(HERE, { host, origin: 'http://localhost:3000' }, '/api/designs', 'POST')).toBe('passes')
    for (const origin of ['http://evil.example', 'https://localhost:3000', 'http://localhost:3001', 'http://127.0.0.1:3000', 'null', ''])
      for (const method of ['GET', 'POST', 'DELETE']) expect(asked(HERE, { host, origin }, '/api/designs', method), origin).toBe(403)
    expect(asked({ ...HERE, secure: true }, { host, origin: 'https://localhost:3000' })).toBe('passes')
    for (const site of ['cross-site', 'same-site']) {
      expect(asked(HERE, { host, 'sec-fetch-site': site, 'sec-fetch-mode': 'no-cors', 'sec-fetch-dest': 'image' })).toBe(403)
      expect(asked(HERE, { host, 'sec-fetch-site': site, 'sec-fetch-mode': 'no-cors', 'sec-fetch-dest': 'script' },
        '/_nuxt/a.js')).toBe(403)
      // A link may lead to a page, but not to records.
      const visit = { host, 'sec-fetch-site': site, 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' }
      expect([asked(HERE, visit, '/bags/1'), asked(HERE, visit, '/api/designs/1/export'), asked(HERE, visit, '/',
        'POST')]).toEqual(['passes', 403, 403])
      expect(asked(HERE, { ...visit, 'sec-fetch-dest': 'iframe' }, '/')).toBe(403)
    }
    expect(asked(HERE, { host, 'sec-fetch-site': 'none', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' }, '/')).toBe('passes')
  })

  it('reads a path once, and turns away what is written so as to be read in two ways', () => {
    const host = 'localhost:3000'
    for (const url of ['/%61pi/designs', '/a%70i/designs', '/api%2Fdesigns', '/%2561pi/%61', '/x/../api/designs',
      '/./api/designs', '/%2e%2e/api',
      '/api\\designs', '/api/%', '/api/%zz', '/api/%c3%28', 'http://localhost:3000/api/designs', '*'])
      expect(asked(HERE, { host }, url), url).toBe(400)
    for (const [url, path] of [
      ['/api/designs/%F0%9F%A7%B6?a=%61', '/api/designs/🧶'], ['/bags/a%20b', '/bags/a b'], ['/%2561', '/%61'], ['/api/%00', '/api/\u0000'],
    ]) {
      expect(asked(HERE, { host }, url), url).toBe('passes')
      expect(pathOf(url)).toBe(path)
    }
    for (const url of ['/api', '/API/x', '//api/designs', '/api?x']) expect(isRecords(pathOf(url)), url).toBe(true)
    for (const url of ['/apis', '/bags/api', undefined]) expect(isRecords(pathOf(url)), url).toBe(false)
  })

  it('gives cookies that no script reads and no other site sends, and finds them again', () => {
    const cookie = cookieOf('abcdefghijklmnopqrstuvwxyz', { secure: true }, 90)
    for (const part of ['HttpOnly', 'SameSite=Strict', 'Secure', 'Path=/']) expect(cookie).toContain(part)
    expect(tokenIn({ headers: { cookie: `other=1; ${cookie.split(';')[0]}; more=2` } })).toBe('abcdefghijklmnopqrstuvwxyz')
    for (const other of ['fair-hollow=short', 'x-fair-hollow=abcdefghijklmnopqrstuvwxyz',
      '']) expect(tokenIn({ headers: { cookie: other } })).toBeUndefined()
  })

  it('lets no script run that it did not write', () => {
    const scripts = /script-src ([^;]*)/.exec(contentPolicy(['\'sha256-x\'']))![1]
    expect(scripts).toBe('\'self\' \'sha256-x\'')
    expect(contentPolicy()).toContain('object-src \'none\'')
  })

  it('rules pages, answers and workers alike, and says no more than it must with what pages load', () => {
    for (const url of ['/', '/bags/1', '/api/designs', '/_nuxt/fit.worker-a1.js', '/_nuxt/a.html', '/_nuxt/../x.js', '/sw.js', undefined])
      expect(Object.keys(headsFor(url)), url).toContain('Content-Security-Policy')
    expect(Object.keys(headsFor('/_nuxt/Bx_1-q.js'))).toEqual([
      'X-Content-Type-Options', 'Referrer-Policy', 'Cross-Origin-Resource-Policy',
    ])
  })
})

describe('a passphrase', () => {
  it('costs who mistypes it nothing, and who guesses more and more time, never more than half a minute a try', () => {
    const slowed = new TryLimiter()
    let now = 0
    const waits = Array.from({ length: 12 }, () => {
      slowed.begin('a', now)
      const wait = slowed.waitMs('a', now)
      now += wait
      return wait / 1000
    })
    expect(waits).toEqual([0, 0, 1, 2, 4, 8, 16, 30, 30, 30, 30, 30])
    expect(slowed.waitMs('b', now)).toBe(0)
  })

  it('is looked at in the end, whatever was guessed before, and from wherever', () => {
    const slowed = new TryLimiter()
    for (let i = 0; i < 5_000; i++) slowed.begin(`10.0.${i >> 8}.${i % 256}`, i)
    for (let i = 0; i < 5_000; i++) slowed.begin('a', 5_000)
    expect(slowed.waitMs('a', 5_000)).toBe(LONGEST_WAIT_MS)
    expect(slowed.waitMs('a', 5_000 + LONGEST_WAIT_MS)).toBe(0)
    expect(slowed.waitMs('new here', 5_000)).toBe(0)
    expect(slowed.lookMs(5_000)).toBe(3_000)
    expect(slowed.lookMs(5_000 + 61_000)).toBe(700)
    slowed.right('a')
    expect(slowed.waitMs('a', 5_001)).toBe(0)
  })

  it('tried many times at once from one address is tried once', () => {
    const slowed = new TryLimiter()
    const looked = Array.from({ length: 100 }, () => {
      if (slowed.waitMs('a', 0) > 0) return false
      slowed.begin('a', 0)
      return true
    })
    expect(looked.filter(Boolean)).toHaveLength(3)
  })
})

describe('letting a phone in', () => {
  const from = (pairing: Pairing, code: string, address = '192.168.1.9', now = 1_000) => pairing.try(code, address, now)

  it('takes the letters once, however they are typed, while the door is open', () => {
    const pairing = new Pairing()
    expect(from(pairing, 'ABCDEF')).toBe('shut')
    const { code } = pairing.open(0)
    expect(code).toMatch(/^[A-Z]{6}$/)
    expect(from(pairing, ` ${code.slice(0, 3).toLowerCase()}-${code.slice(3)} `)).toBe('let-in')
    expect(from(pairing, code)).toBe('shut')
    const next = pairing.open(0)
    expect(pairing.try(next.code, 'a', OPEN_MINUTES * 60_000)).toBe('shut')
  })

  it('ends guessing: few tries from one address, few in all', () => {
    const pairing = new Pairing()
    const { code } = pairing.open(0)
    expect(['A', 'B', 'C', 'D', 'E'].map(one => from(pairing, one))).toEqual(['wrong', 'wrong', 'wrong', 'wrong', 'shut'])
    expect(from(pairing, code)).toBe('shut')
    expect(from(pairing, code, '192.168.1.10')).toBe('let-in')
    pairing.open(0)
    const tries = Array.from({ length: 12 }, (_, i) => from(pairing, 'WRONG', `10.0.0.${i}`))
    expect(tries.filter(tried => tried === 'wrong')).toHaveLength(8)
    expect(pairing.current(1)).toBeUndefined()
  })

  it('forgets tries when the door is opened anew: who mistyped the old letters may type the new ones', () => {
    const pairing = new Pairing()
    pairing.open(0)
    for (let i = 0; i < 4; i++) from(pairing, 'WRONG')
    const { code } = pairing.open(0)
    expect(from(pairing, 'WRONG')).toBe('wrong')
    expect(from(pairing, code)).toBe('let-in')
  })

  it('draws letters evenly', () => {
    const pairing = new Pairing()
    const counts = new Map<string, number>()
    for (let i = 0; i < 4_000; i++) for (const letter of pairing.open(0).code) counts.set(letter, (counts.get(letter) ?? 0) + 1)
    expect(counts.size).toBe(22)
    // 24,000 letters over 22: about 1,091 each, standard deviation 32.
    for (const count of counts.values()) expect(Math.abs(count - 24_000 / 22)).toBeLessThan(6 * 32)
  })
})

describe('what the program was asked to do', () => {
  it('names host and port, or says what is wrong with them', () => {
    expect(askedFor({})).toEqual({ host: '127.0.0.1', port: 3000 })
    expect(askedFor({ PORT: '8080', HOST: '0.0.0.0' })).toEqual({ host: '0.0.0.0', port: 8080 })
    for (const PORT of ['0', '65536', '-1', '80x', '3e3', ' ', '1.5']) expect(askedFor({ PORT }), PORT).toHaveProperty('words')
    for (const HOST of ['a b', 'http://x', '-x', '::1::2']) expect(askedFor({ HOST }), HOST).toHaveProperty('words')
    expect([isLoopback('127.3.2.1'), isLoopback('128.0.0.1'), isLoopback('::1')]).toEqual([true, false, true])
    expect(hostOf('[fe80::1]:3000')).toEqual({ name: 'fe80::1', port: 3000 })
  })

  it('says why it cannot listen, and what a certificate lacks', () => {
    const why = (code: string) => listenWords(Object.assign(new Error(code), { code }), { address: '127.0.0.1', port: 3000 })
    expect(why('EADDRINUSE')).toContain('PORT=3001')
    expect(why('EACCES')).toContain('above 1023')
    expect(why('EADDRNOTAVAIL')).toContain('not an address of this machine')
    expect(why('EWHATEVER')).toContain('EWHATEVER')
    expect(certificateIn({})).toBeUndefined()
    expect(certificateIn({ FAIR_HOLLOW_CERT: '/x' })).toHaveProperty('words')
    expect(certificateIn({ FAIR_HOLLOW_CERT: '/nowhere/x',
      FAIR_HOLLOW_KEY: '/nowhere/y' })).toMatchObject({ words: expect.stringContaining('/nowhere/x') as string })
  })

  it('tells trouble with the records in words, whatever SQLite or the system calls it; a mistake of ours is none', () => {
    const codes = [
      ['SQLITE_READONLY_DBMOVED', 'read-only'], ['SQLITE_FULL', 'full'], ['ENOSPC', 'full'], ['SQLITE_BUSY_SNAPSHOT', 'locked'],
      ['SQLITE_CORRUPT_INDEX', 'corrupt'], ['SQLITE_NOTADB', 'no-database'], ['SQLITE_CANTOPEN_ISDIR', 'unreadable'], ['EACCES', 'folder'],
      ['SQLITE_IOERR_WRITE', 'io'],
    ] as const
    for (const [code, meant] of codes) {
      const trouble = troubleOf(Object.assign(new Error('x'), { code }), '/home/ada/bags.sqlite')!
      expect([code, trouble.code]).toEqual([code, meant])
      expect(trouble.words).toContain('/home/ada/bags.sqlite')
    }
    expect(troubleOf(new TypeError('x'), '/x')).toBeUndefined()
    expect(troubleOf(Object.assign(new Error('x'), { code: 'SQLITE_CONSTRAINT' }), '/x')).toBeUndefined()
  })
})
