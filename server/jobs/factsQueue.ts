import { setTimeout as rest } from 'node:timers/promises'
import { databasePath } from '../db/connection'
import type { FactTexts } from '../db/logbook'
import { logbook } from '../db/repositories'
import { RecordsTrouble } from '../db/trouble'
import { runJob, JobFailed } from './workerPool'

/*
 * Facts of makes, worked out by a worker a while after something happened to them; or at once, when somebody opens the page of
 * one.
 */

/** Begun so long after an event: the hook goes on. */
const AFTER_MS = 1_500
/** A rest after each, this many times as long as it took. */
const RESTS = 4

const waiting = new Set<string>()
/** Makes that could not be read, or took too long: nobody waits for them again until something happens to them. */
const unlearnt = new Set<string>()
let learning = false

/** Has worked out anew what a make tells. */
async function learn(id: string, ahead: boolean): Promise<void> {
  try {
    const found = await runJob('facts', { path: databasePath(), id }, { ahead })
    if (found) keep(id, found.upTo, found.texts)
    else unlearnt.add(id)
  }
  catch (error) {
    if (!(error instanceof JobFailed)) throw error
    if (error.why !== 'too-busy') unlearnt.add(id)
    process.stderr.write(`${error.message}\n`)
  }
}

/** Keeps what a make tells; where nothing can be written, it is worked out again when it is asked for. */
function keep(id: string, upTo: number, facts: FactTexts): void {
  try {
    logbook().keepFacts(id, upTo, facts)
  }
  catch (error) {
    process.stderr.write(`lessons were not kept: ${(error as Error).name}\n`)
  }
}

async function learnAll(): Promise<void> {
  await rest(AFTER_MS, undefined, { ref: false })
  for (let [id] = waiting; id !== undefined; [id] = waiting) {
    waiting.delete(id)
    const from = performance.now()
    if (!logbook().isUpToDate(id)) await learn(id, true)
    await rest(RESTS * (performance.now() - from), undefined, { ref: false })
  }
}

function go(): void {
  if (learning) return
  learning = true
  void learnAll()
    .catch((error: unknown) => {
      waiting.clear()
      if (!(error instanceof RecordsTrouble)) process.stderr.write(`lessons: ${(error as Error).name}\n`)
    })
    .finally(() => {
      learning = false
      if (waiting.size > 0) go()
    })
}

/** Has what a make tells worked out soon: something happened to it. */
export function learnSoon(id: string): void {
  unlearnt.delete(id)
  waiting.add(id)
  go()
}

/** Has worked out whatever is not that of the last event. */
export function learnMissing(): void {
  try {
    for (const { id } of logbook().behind()) if (!unlearnt.has(id)) waiting.add(id)
  }
  catch (error) {
    if (!(error instanceof RecordsTrouble)) throw error
    return
  }
  if (waiting.size > 0) go()
}

/** So many makes are waited for, whose hook just moved; more are told of later. */
const FEW = 3

/** Has worked out what a few makes tell that somebody wants to see; of many, soon. */
export async function learnFew(): Promise<void> {
  const behind = logbook().behind().filter(({ id }) => !unlearnt.has(id))
  if (behind.length > FEW) return learnMissing()
  for (const { id } of behind) await factsOf(id)
}

/** The facts of a make, up to its last event, as JSON. */
export async function factsOf(id: string): Promise<string | undefined> {
  if (!logbook().isUpToDate(id)) {
    waiting.delete(id)
    await learn(id, false)
  }
  return logbook().factsText(id)
}
