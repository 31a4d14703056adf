import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { setTimeout as rest } from 'node:timers/promises'

/** What came back of a request. */
export interface Answer {
  readonly status: number
  readonly body: string
  readonly bytes: Buffer
  readonly ms: number
}

/** A request as it goes over the wire, its path as it is given. */
export interface Sent {
  readonly method: string
  readonly path: string
  readonly body?: string | Buffer
  readonly headers?: Readonly<Record<string, string>>
}

/** A server of its own to be laid siege to. */
export class Besieged {
  private child: ChildProcess | undefined
  private agent = new Agent({ keepAlive: true, maxSockets: 64 })
  said = ''

  constructor(
    readonly port: number,
    private readonly records: string,
    private readonly environment: Readonly<Record<string, string>> = {},
  ) {}

  async start(): Promise<void> {
    const { HOST: _, ...inherited } = process.env
    const child = (this.child = spawn(process.execPath, ['.output/server/index.mjs'], {
      env: { ...inherited, PORT: String(this.port), FAIR_HOLLOW_DB: this.records, FAIR_HOLLOW_DEMO: 'no', ...this.environment },
    }))
    let up = false
    child.stdout.on('data', (chunk: Buffer) => (up ||= chunk.toString().includes('Fair Hollow is at')))
    child.stderr.on('data', (chunk: Buffer) => (this.said = (this.said + chunk.toString()).slice(-20_000)))
    for (let tries = 0; tries < 400; tries++) {
      if (up) return
      if (child.exitCode !== null) throw new Error(`the server gave up: ${this.said}`)
      await rest(25)
    }
    throw new Error(`the server did not start: ${this.said}`)
  }

  /** Ends it as a power cut does. */
  async kill(): Promise<void> {
    const { child } = this
    this.agent.destroy()
    this.agent = new Agent({ keepAlive: true, maxSockets: 64 })
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const gone = new Promise(resolve => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
  }

  get alive(): boolean {
    return this.child?.exitCode === null && this.child.signalCode === null
  }

  /** Memory that it holds, in megabytes. */
  get memoryMB(): number {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.child!.pid}/status`, 'utf8'))![1]) / 1000
  }

  /** Sends a request; nothing comes back of one whose line broke. */
  send({ method, path, body, headers = {} }: Sent): Promise<Answer | undefined> {
    const from = performance.now()
    return new Promise((resolve) => {
      const length: Record<string, string> = body === undefined ? {} : { 'Content-Length': String(Buffer.byteLength(body)) }
      const asked = request({
        host: '127.0.0.1', port: this.port, method, path, agent: this.agent,
        headers: { 'Content-Type': 'application/json', ...length, ...headers },
      }, (answer) => {
        const chunks: Buffer[] = []
        answer.on('data', (chunk: Buffer) => chunks.push(chunk))
        answer.on('end', () => {
          const bytes = Buffer.concat(chunks)
          resolve({ status: answer.statusCode!, body: bytes.toString('utf8'), bytes, ms: performance.now() - from })
        })
        answer.on('error', () => resolve(undefined))
      })
      asked.on('error', () => resolve(undefined))
      asked.end(body)
    })
  }
}
