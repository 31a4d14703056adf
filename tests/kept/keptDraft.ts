import type { Design } from '../../core/bag/design/design'
import { draft } from '../../core/bag/draft/draft'
import { asText } from '../../core/readers/words/asText'
import { patternOf } from '../../core/readers/words/pattern'

const figure = (cm: number) => cm.toFixed(2)

/** What a bag comes to, as it is kept to be compared: its pattern, what it found, and the figures that no words tell. */
export function keptDraft(design: Design): string {
  const drafted = draft(design)
  const parts = drafted.parts.map(({ name, rounds, edge, size, arounds, rises, handles, pieces }) =>
    [
      name, `${rounds.length} rounds`, `${edge.count} places`, `sides ${edge.sides.join(' ')}`, `${figure(size.circumference.cm)} round`,
      `${figure(size.height.cm)} tall`, ...(arounds ? [`rounds go ${arounds.map(figure).join(' ')}`] : []),
      ...(rises ? [`rise ${rises.map(figure).join(' ')}`] : []),
      ...handles.map(
        ({ name: handle, feet, lengthCm, gapCm, widthCm }) =>
          `${handle}: ${feet.map(foot => foot.toFixed(4)).join(' to ')}, ${[lengthCm, gapCm, widthCm].map(figure).join(' ')}`,
      ),
      ...pieces.map(
        ({ name: piece, rows, lengthCm, widthCm }) =>
          `${piece}: ${rows.map(row => row.edge.count).join(' ')}, ${figure(lengthCm)} by ${figure(widthCm)}`,
      ),
    ].join('; '),
  )
  const found = drafted.findings.map(
    ({ part, weight, code, what, fix, otherFixes = [] }) =>
      `${part ?? 'bag'} ${weight} ${code}: ${what}${[...(fix ? [fix] : []), ...otherFixes].map(({ label }) => ` [${label}]`).join('')}`,
  )
  return [asText(patternOf(drafted, 'us')), 'PARTS', ...parts, '', 'FOUND', ...found, ''].join('\n')
}
