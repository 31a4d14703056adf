import { inMarkdown, oneLine } from './ownWords'
import type { Pattern, PatternLine, PatternSection } from './pattern'

function lineText(line: PatternLine): string {
  return `${line.label}: ${line.words}. ${line.count}${line.note ? ` ${line.note}` : ''}`
}

/** Lines below a section's rounds. */
function below({ finish = [], check, looks, stop }: PatternSection): string[] {
  return [...(check ? [check] : []), ...(looks ? [looks] : []), ...finish, ...(stop ? [`THE PATTERN STOPS HERE: ${stop}`] : [])]
}

/** A list under a heading; nothing of an empty one. */
function listed(heading: string, lines: readonly string[]): string[] {
  return lines.length > 0 ? [heading, ...lines, ''] : []
}

/** A pattern as plain text, for a letter or a message. */
export function asText(pattern: Pattern): string {
  const sections = pattern.sections.flatMap(section => [
    section.title.toUpperCase(), ...(section.lead ? [section.lead] : []), ...section.advice, ...section.lines.map(lineText),
    ...below(section), '',
  ])
  return [
    pattern.title, '',
    ...listed(
      'NOT FINISHED: THIS IS NO PATTERN YET',
      pattern.unfinished.map(text => `- ${text}`),
    ),
    ...pattern.facts.map(({ name, value }) => `${name}: ${value}`), '',
    ...listed(
      'ABBREVIATIONS',
      pattern.abbreviations.map(({ short, long }) => `${short}: ${long}`),
    ),
    ...listed(
      'SPECIAL STITCHES',
      pattern.special.map(({ short, long }) => `${short}: ${long}`),
    ),
    ...listed(
      'NOTES',
      pattern.notes.map(note => `- ${note}`),
    ),
    ...sections,
    ...listed(
      'FINISHING',
      pattern.finishing.map((step, i) => `${i + 1}. ${step}`),
    ),
    ...listed(
      'CARE',
      pattern.care.map(note => `- ${note}`),
    ),
  ].map(oneLine).join('\n')
}

function sectionMarkdown(section: PatternSection): string[] {
  const above = [...(section.lead ? [section.lead] : []), ...section.advice]
  const lines = section.lines.map(
    line => `- **${line.label}:** ${inMarkdown(line.words)}. ${line.count}${line.note ? ` *${inMarkdown(line.note)}*` : ''}`,
  )
  return [
    `## ${inMarkdown(section.title)}`, '', ...above.flatMap(text => [inMarkdown(text), '']), ...lines, '',
    ...below(section).flatMap(text => [inMarkdown(text), '']),
  ]
}

/** A pattern as Markdown. */
export function asMarkdown(pattern: Pattern): string {
  return [
    `# ${inMarkdown(pattern.title)}`, '',
    ...listed(
      '**Not finished: this is no pattern yet.**',
      pattern.unfinished.flatMap(text => ['', inMarkdown(text)]),
    ),
    ...pattern.facts.map(({ name, value }) => `- **${name}:** ${inMarkdown(value)}`), '', '## Abbreviations', '',
    ...pattern.abbreviations.map(({ short, long }) => `- **${short}:** ${inMarkdown(long)}`), '',
    ...(pattern.special.length > 0
      ? ['## Special stitches', '', ...pattern.special.map(({ short, long }) => `- **${short}:** ${inMarkdown(long)}`), '']
      : []),
    '## Notes', '', ...pattern.notes.map(note => `- ${inMarkdown(note)}`), '', ...pattern.sections.flatMap(sectionMarkdown),
    ...(pattern.finishing.length > 0
      ? ['## Finishing', '', ...pattern.finishing.map((step, i) => `${i + 1}. ${inMarkdown(step)}`), '']
      : []),
    '## Care', '', ...pattern.care.map(note => `- ${note}`), '',
  ].join('\n')
}
