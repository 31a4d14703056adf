import { performance } from 'node:perf_hooks'
import { setTimeout as rest } from 'node:timers/promises'
import type { Portrait } from '../../core/readers/chart/portrait'
import { bagList, designs } from '../db/repositories'
import { RecordsTrouble } from '../db/trouble'
import { closeWorkerPool, runJob, JobFailed } from './workerPool'

/*
 * Portraits of the bags for the list, drawn after they were saved. Those that a list was asked for come first; the others are drawn with
 * rests between, and while there is little to answer, so that nobody is kept waiting by it.
 */

/** A bag that cannot be drawn stands on the shelf all the same. */
const UNDRAWN: Portrait = {
  wideCm: 20, tallCm: 10, round: false, layers: [], facts: 'This bag could not be drawn.', rounds: 0, stitches: 0,
}

/** Begun so long after a save: who types saves again. */
const AFTER_MS = 250
/** A rest after each, this many times as long as it took. */
const RESTS = 9
/** Those that are looked for follow one another without a rest, unless the thread that answers was at work for more than this share. */
const BUSY_WHILE_DRAWN = 0.3
/** The others wait while it is at work for more than this share of its time, but no longer than that. */
const BUSY_SHARE = 0.1
const [LOOK_MS, MOST_WAITED_MS] = [250, 5_000]

/** Bags to be drawn: those that somebody looks for, and all others. */
const wanted = new Set<string>()
const waiting = new Set<string>()
let drawing = false
let lookForMissing = false
const MOST_MISSING = 100_000

async function draw(id: string): Promise<void> {
  const kept = designs().find(id)
  if (!kept) return
  let portrait = UNDRAWN
  try {
    if (!kept.unreadable) portrait = await runJob('portrait', { design: kept.document }, { ahead: true })
  }
  catch (error) {
    if (!(error instanceof JobFailed) || error.why === 'too-busy') throw error
    process.stderr.write(`${error.message}\n`)
  }
  bagList().keepPortrait(id, kept.revision, portrait)
}

function next(): string | undefined {
  const [id] = wanted.size > 0 ? wanted : waiting
  if (id === undefined) return undefined
  wanted.delete(id)
  waiting.delete(id)
  return id
}

/** Whether there is little to answer: what is drawn takes its processor from those who wait for an answer. */
async function quiet(): Promise<boolean> {
  const before = performance.eventLoopUtilization()
  await rest(LOOK_MS, undefined, { ref: false })
  return performance.eventLoopUtilization(before).utilization < BUSY_SHARE
}

/** Waits until there is little to answer, but not for long, and not where a list waits for a drawing. */
async function untilQuiet(): Promise<void> {
  for (let waitedMs = 0; waitedMs < MOST_WAITED_MS && wanted.size === 0; waitedMs += LOOK_MS) if (await quiet()) return
}

async function drawAll(): Promise<void> {
  await rest(AFTER_MS, undefined, { ref: false })
  if (lookForMissing) for (const { id } of bagList().undrawn(MOST_MISSING)) waiting.add(id)
  lookForMissing = false
  for (let id = next(); id !== undefined; id = next()) {
    const [from, before] = [performance.now(), performance.eventLoopUtilization()]
    await draw(id)
    if (wanted.size > 0 && performance.eventLoopUtilization(before).utilization < BUSY_WHILE_DRAWN) continue
    await rest(RESTS * (performance.now() - from), undefined, { ref: false })
    await untilQuiet()
  }
}

function go(): void {
  if (drawing) return
  drawing = true
  let failed = false
  void drawAll()
    .catch((error: unknown) => {
      failed = true
      if (!(error instanceof RecordsTrouble)) process.stderr.write(`portraits: ${(error as Error).name}\n`)
    })
    .finally(() => {
      drawing = false
      if (lookForMissing && !failed) go()
    })
}

/** Has a bag drawn soon: it was saved. */
export function drawSoon(id: string): void {
  waiting.add(id)
  go()
}

/** Has bags drawn before all others: somebody looks at the list. */
export function drawFirst(ids: readonly string[]): void {
  for (const id of ids) wanted.add(id)
  if (ids.length > 0) go()
}

/** Has drawn whatever has no portrait of its present state: the program was just begun, or everything was replaced. */
export function drawMissing(): void {
  lookForMissing = true
  go()
}

/** Begins to draw what has no portrait yet; returns what ends it. */
export function drawAhead(): () => void {
  drawMissing()
  return () => {
    wanted.clear()
    waiting.clear()
    closeWorkerPool()
  }
}
