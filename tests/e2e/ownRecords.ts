import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './program'
import { Besieged } from '../siege/server'

/** Gives each test a server with its own records, in a folder that is deleted afterwards. */
export class OwnRecords {
  folder = ''
  server!: Besieged

  constructor(private readonly port: number) {
    test.beforeEach(() => {
      this.folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
      this.serve({ FAIR_HOLLOW_WATCH: 'close' })
    })
    test.afterEach(async () => {
      await this.server.kill()
      rmSync(this.folder, { recursive: true, force: true })
    })
  }

  /** The database file. */
  get path(): string {
    return join(this.folder, 'records.sqlite')
  }

  /** Makes a server with these environment variables; a test starts it. */
  serve(how: Readonly<Record<string, string>>): void {
    this.server = new Besieged(this.port, this.path, how)
  }

  /** Makes a server on a simulated disk (crash.c): slow, or failing. */
  serveOnDisk(how: Readonly<Record<string, string>>): void {
    const preload = join(this.folder, 'disk.so')
    const compiled = spawnSync('cc', ['-shared', '-fPIC', '-O1', '-o', preload, 'tests/siege/crash/crash.c', '-ldl']).status === 0
    test.skip(!compiled, 'no compiler of C here')
    this.serve({ LD_PRELOAD: preload, CRASH_IN: this.folder, ...how })
  }

  post(to: string, value: unknown) {
    return this.server.send({ method: 'POST', path: to, body: JSON.stringify(value) })
  }

  async get<T>(from: string): Promise<T> {
    const answer = await this.server.send({ method: 'GET', path: from })
    expect(answer?.status, from).toBe(200)
    return JSON.parse(answer!.body) as T
  }
}
