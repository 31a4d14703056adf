import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { claim, ownerWords } from '../../server/library/owner'

let folder: string
let path: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'records.sqlite')
  writeFileSync(path, '')
})
afterEach(() => rmSync(folder, { recursive: true }))

const ME = { pid: process.pid, address: 'http://127.0.0.1:3000' }

describe('the records', () => {
  it('belong to one at a time, who says who it is; once it lets go, to the next', () => {
    const first = claim(path, ME)
    expect(first.granted).toBe(true)
    const second = claim(path, { pid: 1, address: null })
    expect(second).toEqual({ granted: false, owner: ME })
    expect(ownerWords(ME)).toContain('http://127.0.0.1:3000')
    if (first.granted) first.release()
    const third = claim(path, { pid: 1, address: null })
    expect(third.granted).toBe(true)
    if (third.granted) third.release()
  })

  it('are the same by another name', () => {
    const other = join(folder, 'link.sqlite')
    symlinkSync(path, other)
    const first = claim(path, ME)
    expect(claim(other, ME).granted).toBe(false)
    if (first.granted) first.release()
  })

  it('are free again once whoever held them was killed', async () => {
    const script = `
      const Database = require('better-sqlite3')
      const db = new Database(process.argv[1])
      db.exec('CREATE TABLE owner (pid INTEGER, address TEXT); INSERT INTO owner VALUES (77, NULL); BEGIN IMMEDIATE')
      console.log('held')
      setInterval(() => {}, 1000)`
    const child = spawn(process.execPath, ['-e', script, `${path}.owner`], { cwd: process.cwd() })
    await new Promise(resolve => child.stdout.once('data', resolve))
    expect(claim(path, ME)).toEqual({ granted: false, owner: { pid: 77, address: null } })
    const gone = new Promise(resolve => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
    const mine = claim(path, ME)
    expect(mine.granted).toBe(true)
    if (mine.granted) mine.release()
  })

  it('can be claimed though the file that is locked was spoilt', () => {
    writeFileSync(`${path}.owner`, 'this is no database'.repeat(100))
    const mine = claim(path, ME)
    expect(mine.granted).toBe(true)
    if (mine.granted) mine.release()
  })
})
