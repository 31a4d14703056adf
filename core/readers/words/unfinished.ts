import type { Draft } from '../../bag/draft/draft'

/** The gaps of a draft that stops: its stops, and the parts that are not reached. */
export function unfinishedOf(draft: Draft, say: (text: string) => string): string[] {
  const stops = draft.findings.filter(({ weight }) => weight === 'stop')
  if (stops.length === 0) return []
  const reached = new Set(draft.parts.map(({ id }) => id))
  const missing = draft.design.wall.filter(({ id }) => !reached.has(id)).length
  const parts = missing === 1 ? 'One part of the wall is' : `${missing} parts of the wall are`
  return [
    ...stops.map(({ what, part }) => {
      const name = draft.parts.find(({ id }) => id === part)?.name
      return `${name ? `${name}: ` : ''}${say(what)}`
    }),
    ...(missing > 0 ? [`${parts} not written, because nothing can be worked above this.`] : []),
  ]
}
