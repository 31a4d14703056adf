import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { setTimeout as rest } from 'node:timers/promises'
import { Worker } from 'node:worker_threads'
import type { JobKind, Jobs } from './jobs'
import { transfersIn } from './transfers'
import type { Delivery, JobRequest } from './worker'

/*
 * Workers beside the server: a few workers that do one job after the other, each with as much time and memory as it may take. A worker
 * that takes more is sent home, and another one comes; who asked is told.
 */

/** A job was not done: it took too long or too much, there is too much to do, or it is a mistake of ours. */
export class JobFailed extends Error {
  constructor(
    readonly why: 'too-long' | 'too-much' | 'too-busy' | 'called-off' | 'mistake',
    detail = '',
  ) {
    super(`a job of the worker pool failed (${why})${detail ? `\n${detail}` : ''}`)
  }
}

const WORKERS = 2
const MOST_WAITING = 60
const MEMORY_MB = 512
/** As long as a job may take. */
const LIMIT_MS: Readonly<Record<JobKind, number>> = {
  portrait: 10_000, weigh: 10_000, facts: 20_000, taught: 30_000, logbook: 60_000, known: 30_000, order: 30_000, export: 40_000,
  settle: 60_000, pack: 60_000, parcel: 120_000, bringLogbook: 120_000, bringMake: 60_000, bringYarns: 30_000,
  copy: 300_000, restore: 600_000, salvage: 600_000,
}

/** How a job is asked for. */
export interface JobOptions {
  /** Done when nobody waits for anything else. */
  readonly ahead?: boolean
  /** Ends when whoever asked no longer waits: the job is not begun then, and one that was begun is ended. */
  readonly calledOff?: AbortSignal
  /** The name that it is asked after by. */
  readonly name?: string | undefined
}

/** How a job stands that is not done: so many are before it, or so much of it is done, where that is known. */
type JobStatus = { readonly before: number } | { readonly share: number | null }

interface QueuedJob {
  readonly order: JobRequest
  readonly name: string | undefined
  share: number | null
  readonly done: (gives: unknown) => void
  readonly failed: (error: JobFailed) => void
}

interface WorkerSlot {
  readonly worker: Worker
  job?: QueuedJob
  timer?: ReturnType<typeof setTimeout>
}

/**
 * The workers' own file, which the build puts at the top of the server's folder; this code may lie in a folder below. The development
 * server takes that of the last build.
 */
function workerFile(): string {
  for (let folder = dirname(fileURLToPath(import.meta.url)); folder !== dirname(folder); folder = dirname(folder)) {
    const file = join(folder, 'jobWorker.cjs')
    if (existsSync(file)) return file
  }
  return join(process.cwd(), '.output/server/jobWorker.cjs')
}

const benches: WorkerSlot[] = []
/** Those who wait, who was asked for by a maker before what is drawn ahead. */
const waiting: QueuedJob[] = []
const ahead: QueuedJob[] = []
let numbers = 0

function hire(): WorkerSlot {
  const worker = new Worker(workerFile(), { resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } })
  const bench: WorkerSlot = { worker }
  worker.unref()
  worker.on('message', (delivery: Delivery) => {
    if ('share' in delivery) noteShare(bench, delivery)
    else if ('gives' in delivery) finish(bench, job => job.done(delivery.gives))
    else finish(bench, job => job.failed(new JobFailed('mistake', delivery.failed)))
  })
  worker.on('error', (error: NodeJS.ErrnoException) => {
    goHome(bench, new JobFailed(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? 'too-much' : 'mistake', error.name))
  })
  worker.on('exit', () => goHome(bench, new JobFailed('mistake')))
  benches.push(bench)
  return bench
}

function noteShare({ job }: WorkerSlot, { number, share }: { readonly number: number, readonly share: number }): void {
  if (job?.order.number === number) job.share = share
}

/** How a job stands that was asked for by a name; nothing of one that is done, or unknown. */
export function jobStatus(name: string): JobStatus | undefined {
  const at = [...waiting, ...ahead].findIndex(job => job.name === name)
  if (at >= 0) return { before: at + benches.filter(({ job }) => job).length }
  const job = benches.find(bench => bench.job?.name === name)?.job
  return job && { share: job.share }
}

function finish(bench: WorkerSlot, tell: (job: QueuedJob) => void): void {
  clearTimeout(bench.timer)
  const { job } = bench
  delete bench.job
  if (job) tell(job)
  goOn()
}

function goHome(bench: WorkerSlot, why: JobFailed): void {
  const at = benches.indexOf(bench)
  if (at >= 0) benches.splice(at, 1)
  finish(bench, job => job.failed(why))
}

function goOn(): void {
  while (waiting.length > 0 || ahead.length > 0) {
    const bench = benches.find(({ job }) => !job) ?? (benches.length < WORKERS ? hire() : undefined)
    // What is drawn ahead never takes the last bench: a maker who asks need not wait for it.
    if (!bench || (waiting.length === 0 && benches.some(({ job }) => job))) return
    give(bench, (waiting.shift() ?? ahead.shift())!)
  }
}

function give(bench: WorkerSlot, job: QueuedJob): void {
  bench.job = job
  bench.timer = setTimeout(() => {
    const late = bench.worker
    goHome(bench, new JobFailed('too-long'))
    void late.terminate()
  }, LIMIT_MS[job.order.kind])
  bench.worker.postMessage(job.order, transfersIn(job.order.takes))
}

/** Ends a job that nobody waits for any more. */
function callOff(order: JobRequest): void {
  for (const queue of [waiting, ahead]) {
    const at = queue.findIndex(job => job.order === order)
    if (at >= 0) return void queue.splice(at, 1)[0]!.failed(new JobFailed('called-off'))
  }
  const bench = benches.find(({ job }) => job?.order === order)
  if (!bench) return
  goHome(bench, new JobFailed('called-off'))
  void bench.worker.terminate()
}

/**
 * Has a job done by a worker. Bytes that it takes are given away.
 *
 * @throws JobFailed if it was not done
 */
export function runJob<K extends JobKind>(
  kind: K, takes: Jobs[K]['takes'], { ahead: isAhead = false, calledOff, name }: JobOptions = {},
): Promise<Jobs[K]['gives']> {
  const queue = isAhead ? ahead : waiting
  if (queue.length >= MOST_WAITING) return Promise.reject(new JobFailed('too-busy'))
  return new Promise((resolve, reject) => {
    const order: JobRequest = { number: ++numbers, kind, takes }
    queue.push({ order, name, share: null, done: resolve as (gives: unknown) => void, failed: reject })
    calledOff?.addEventListener('abort', () => callOff(order), { once: true })
    goOn()
  })
}

/** Has all workers come, so that the first who asks need not wait for one. */
export function openWorkerPool(): void {
  while (benches.length < WORKERS) hire()
}

const LOOK_MS = 10

/** Waits until nobody works in a worker: whatever was begun with the records is done with them. */
export async function whenIdle(): Promise<void> {
  while (waiting.length > 0 || ahead.length > 0 || benches.some(({ job }) => job)) await rest(LOOK_MS)
}

/** Sends all workers home. */
export function closeWorkerPool(): void {
  for (const { worker } of benches.splice(0)) void worker.terminate()
}
