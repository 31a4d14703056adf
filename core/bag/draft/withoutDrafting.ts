import type { Design } from '../design/design'
import type { Draft } from './draft'

/** Fields of a design that nothing is drafted from: words about it. */
const WORDS = ['name', 'note', 'tags'] as const

/** Whether two designs differ in their words alone. */
function differInWords(before: Design, now: Design): boolean {
  const words: readonly string[] = WORDS
  const names = new Set([...Object.keys(before), ...Object.keys(now)]) as Set<keyof Design>
  return [...names].every(name => words.includes(name) || before[name] === now[name])
}

/** A draft of a design that says other words about the same bag: all that follows from it is taken over. Nothing if it is another bag. */
export function withoutDrafting(before: Draft, now: Design): Draft | undefined {
  if (!differInWords(before.from, now)) return undefined
  const { name, note, tags: _, ...rest } = { ...before.design, name: now.name, note: now.note }
  return { ...before, from: now, design: { ...rest, name, note, ...(now.tags === undefined ? {} : { tags: now.tags }) } }
}

/** Whether two drafts of a bag are the same but for words about it. */
export function looksSame(before: Draft, now: Draft): boolean {
  return before === now || (before.parts === now.parts && before.findings === now.findings && differInWords(before.from, now.from))
}
