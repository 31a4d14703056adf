/** How light a `#rrggbb` colour looks, 0 to 1 (relative luminance as WCAG 2 defines it). */
export function lightness(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255
    return share <= 0.03928 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

const DAMSON = '#64163d'
const CREAM = '#fff6e6'

/** The colour for stitches that stand out, such as increases: damson on a light yarn, cream on a dark one. */
export function standOutLine(hex: string): string {
  const yarn = lightness(hex)
  const damson = (yarn + 0.05) / (lightness(DAMSON) + 0.05)
  const cream = (lightness(CREAM) + 0.05) / (yarn + 0.05)
  return damson > cream ? DAMSON : CREAM
}

/** The shadow inside a bag of this yarn. */
export function insideShade(hex: string): string {
  return `color-mix(in srgb, ${hex}, black 62%)`
}

/** The colour for the lines of stitches on a yarn: its own shadow, or its own shine on a dark one. */
export function threadLine(hex: string): string {
  return lightness(hex) > 0.08 ? `color-mix(in srgb, ${hex}, black 30%)` : `color-mix(in srgb, ${hex}, white 38%)`
}

/** Light and shade across a round bag: from its left edge to its right one. */
export const ROUNDNESS = [
  [0, '#000', 0.26], [0.22, '#000', 0.08], [0.5, '#fff', 0.08], [0.78, '#000', 0.08], [1, '#000', 0.26],
] as const
