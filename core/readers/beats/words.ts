import { capitalised } from '../words/numbers'
import { sayClauses } from '../words/manner'
import { endingWords, openingWords, type Speech } from '../words/openingWords'
import type { Clause, Working } from '../words/sentence'
import { same } from '../../things/measure/same'
import { foldedAgain, runsTogether } from '../words/mergeClauses'
import { translate, type TranslateOptions } from '../../things/stitch/translate'
import type { Beat, Doing } from './beat'

/** Settings that the words of beats depend on. */
export type BeatSpeech = Speech & TranslateOptions

/** Whether a clause does one of several stitches into a place that never fills up. */
function isOneByOne(clause: Doing, of: number): clause is Working {
  return clause.say === 'work' && of > 1 && ((clause.into.at === 'next' && clause.into.sort === 'ring') || clause.into.at === 'overBridge')
}

/** Stitches one by one into a place as so many of them; chains up to a marker and on as one run. */
function joined(a: Clause, b: Clause, oneByOne: boolean): Clause | undefined {
  if (a.say === 'chain' && b.say === 'chain') return { say: 'chain', chains: a.chains + b.chains }
  if (!oneByOne || a.say !== 'work' || b.say !== 'work' || !same(a.into, b.into)) return undefined
  const [first, more] = [a.what[0], b.what[0]]
  if (!first || !more || 'chains' in first || 'chains' in more) return undefined
  return { ...a, what: [{ ...first, times: first.times + more.times }] }
}

/** The clauses of beats, those that belong together as one. */
function clausesOf(beats: readonly Beat[]): Clause[] {
  const found: Clause[] = []
  for (const { said, nth, of } of beats) {
    if (said.say === 'passing') found.push(...said.passing)
    if (said.say !== 'doing') continue
    const before = found.at(-1)
    const goesOn = before && nth > 1 && said.passing.length === 0
    const together = goesOn && joined(before, said.clause, isOneByOne(said.clause, of))
    if (together) found[found.length - 1] = together
    else found.push(...said.passing, said.clause)
  }
  return foldedAgain(runsTogether(found))
}

/** Words after others: a new sentence where the others end one. */
function joinedOn(text: string, more: string): string {
  if (text === '') return more
  return /[.!?]$/.test(text) ? `${text} ${capitalised(more)}` : `${text}; ${more}`
}

/** Beats in words: what the hook does, in the order it does it. What is told is a sentence of its own. */
export function sayBeats(beats: readonly Beat[], speech: BeatSpeech): string {
  const words: string[] = []
  let doing: Beat[] = []
  const done = () => {
    if (doing.length > 0) words.push(sayClauses(clausesOf(doing), speech))
    doing = []
  }
  for (const beat of beats) {
    const { said } = beat
    if (said.say === 'doing' || said.say === 'passing') {
      doing.push(beat)
      continue
    }
    done()
    if (said.say === 'opening') words.push(openingWords(said.opening, speech).replace(/[;:] $/, ''))
    else if (said.say === 'telling') words.push(translate(said.text, speech))
    else words.push(endingWords(said.ending, speech).replace(/^; /, ''))
  }
  done()
  return capitalised(words.filter(Boolean).reduce(joinedOn, ''))
}
