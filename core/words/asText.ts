import type { Pattern, PatternLine } from './pattern'

function lineText(line: PatternLine): string {
  return `${line.label}: ${line.words}. ${line.count}${line.note ? ` ${line.note}` : ''}`
}

/** A pattern as plain text, for a letter or a message. */
export function asText(pattern: Pattern): string {
  const sections = pattern.sections.flatMap(section => [
    section.title.toUpperCase(), ...(section.lead ? [section.lead] : []), ...section.advice, ...section.lines.map(lineText),
    ...(section.finish ?? []), '',
  ])
  return [
    pattern.title, '', ...pattern.facts.map(({ name, value }) => `${name}: ${value}`), '', 'ABBREVIATIONS',
    ...pattern.abbreviations.map(({ short, long }) => `${short}: ${long}`), '', 'NOTES', ...pattern.notes.map(note => `- ${note}`), '',
    ...sections, 'CARE', ...pattern.care.map(note => `- ${note}`), '',
  ].join('\n')
}

/** Keeps a maker's own words from turning into Markdown. */
function escaped(text: string): string {
  return text.replace(/([\\`*_[\]<>#|])/g, '\\$1')
}

/** A pattern as Markdown. */
export function asMarkdown(pattern: Pattern): string {
  const sections = pattern.sections.flatMap(section => [
    `## ${section.title}`, '', ...[...(section.lead ? [section.lead] : []), ...section.advice].flatMap(text => [escaped(text), '']),
    ...section.lines.map(
      line => `- **${line.label}:** ${escaped(line.words)}. ${line.count}${line.note ? ` *${escaped(line.note)}*` : ''}`,
    ),
    ...(section.finish?.length ? ['', ...section.finish.flatMap(text => [escaped(text), ''])] : ['']),
  ])
  return [
    `# ${escaped(pattern.title)}`, '', ...pattern.facts.map(({ name, value }) => `- **${name}:** ${escaped(value)}`), '',
    '## Abbreviations', '', ...pattern.abbreviations.map(({ short, long }) => `- **${short}:** ${long}`), '', '## Notes', '',
    ...pattern.notes.map(note => `- ${escaped(note)}`), '', ...sections, '## Care', '', ...pattern.care.map(note => `- ${note}`), '',
  ].join('\n')
}
