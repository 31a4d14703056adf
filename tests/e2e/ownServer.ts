import { type ChildProcess, spawn } from 'node:child_process'
import { setTimeout as rest } from 'node:timers/promises'

/** A server of a test's own, with records of its own, that can be killed and started again. */
export class OwnServer {
  readonly address: string
  private child: ChildProcess | undefined

  constructor(
    private readonly port: number,
    private readonly records: string,
    private readonly environment: Readonly<Record<string, string>> = {},
  ) {
    this.address = `http://127.0.0.1:${port}`
  }

  async start(): Promise<void> {
    const { HOST: _, NITRO_HOST: __, ...inherited } = process.env
    this.child = spawn(process.execPath, ['.output/server/index.mjs'], {
      env: { ...inherited, PORT: String(this.port), FAIR_HOLLOW_DB: this.records, ...this.environment }, stdio: 'ignore',
    })
    for (let tries = 0; tries < 600; tries++) {
      const up = await fetch(`${this.address}/api/makes`).then(({ ok }) => ok, () => false)
      if (up) return
      await rest(50)
    }
    throw new Error('the server did not start')
  }

  /** Ends it as a power cut does, and waits until it holds no file any longer. */
  async kill(): Promise<void> {
    const { child } = this
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const gone = new Promise(resolve => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
  }
}
