import { type Beat, type BeatSpeech, CHAINS_TO_MARKER } from './beat'

/** A foundation as beats: so many at a time, up to the next marker. */
export function foundationBeats(chains: number, text?: (number: number) => string): Beat[] {
  return Array.from({ length: Math.ceil(chains / CHAINS_TO_MARKER) }, (_, group): Beat => {
    const nth = Math.min(chains, (group + 1) * CHAINS_TO_MARKER)
    const now = nth - group * CHAINS_TO_MARKER
    const said: BeatSpeech = text
      ? { say: 'telling', text: text(now) }
      : { say: 'doing', passing: [], clause: { say: 'chain', chains: now } }
    return { said, from: 0, to: 0, nth, of: chains, group }
  })
}
