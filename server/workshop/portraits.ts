import type { Portrait } from '../../core/chart/portrait'
import { bagList, designs } from '../db/shelves'
import { RecordsTrouble } from '../db/trouble'
import { closeWorkshop, inWorkshop, JobFailed } from './workshop'

/*
 * Portraits of the bags for the list, drawn after they were saved, when nobody waits for anything else.
 */

const REST_MS = 250
const AT_ONCE = 8

/** A bag that cannot be drawn stands on the shelf all the same. */
const UNDRAWN: Portrait = {
  wideCm: 20, tallCm: 10, round: false, layers: [], facts: 'This bag could not be drawn.', rounds: 0, stitches: 0,
}

async function draw(id: string, revision: number): Promise<void> {
  const kept = designs().find(id)
  if (!kept) return
  let portrait = UNDRAWN
  try {
    if (!kept.unreadable) portrait = await inWorkshop('portrait', { design: kept.document }, true)
  }
  catch (error) {
    if (!(error instanceof JobFailed) || error.why === 'too-busy') throw error
    process.stderr.write(`${error.message}\n`)
  }
  bagList().keepPortrait(id, Math.max(revision, kept.revision), portrait)
}

let timer: ReturnType<typeof setTimeout> | undefined
let drawing = false
let asked = false

async function drawAll(): Promise<void> {
  for (let some = bagList().undrawn(AT_ONCE); some.length > 0; some = bagList().undrawn(AT_ONCE)) {
    for (const { id, revision } of some) await draw(id, revision)
  }
}

/** Has portraits drawn soon: something was saved. */
export function drawSoon(): void {
  asked = true
  if (drawing || timer) return
  timer = setTimeout(() => {
    timer = undefined
    asked = false
    drawing = true
    void drawAll()
      .catch((error: unknown) => {
        if (!(error instanceof RecordsTrouble)) process.stderr.write(`portraits: ${(error as Error).name}\n`)
      })
      .finally(() => {
        drawing = false
        if (asked) drawSoon()
      })
  }, REST_MS)
  timer.unref()
}

/** Begins to draw what has no portrait yet; returns what ends it. */
export function drawAhead(): () => void {
  drawSoon()
  return () => {
    clearTimeout(timer)
    closeWorkshop()
  }
}
