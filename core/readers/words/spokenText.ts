import { STITCH_KINDS, STITCHES, type Terms } from '../../things/stitch/dictionary'

/** Short forms as they are said; stitches come from the dictionary. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/\bsts\b/gi, 'stitches'], [/\bst\b/gi, 'stitch'], [/\bsps\b/gi, 'spaces'], [/\bsp\b/gi, 'space'], [/\bchs\b/gi, 'chains'],
  [/\bsk\b/gi, 'skip'], [/\bbeg\b/gi, 'begin'], [/\brep\b/gi, 'repeat'], [/[[\]{}()]/g, ','], [/;/g, ','],
]

/** A line of a pattern as it is said aloud: no short forms, no brackets. */
export function spokenText(words: string, terms: Terms): string {
  let said = words
    .replace(/\bch-sps?\b/gi, found => (found.endsWith('s') ? 'chain spaces' : 'chain space'))
    .replace(/\bch-(\d+) sps?\b/gi, '$1 chain spaces')
  const kinds = [...STITCH_KINDS].sort(
    (a, b) => STITCHES[b][terms].abbreviation.length - STITCHES[a][terms].abbreviation.length,
  )
  for (const kind of kinds) {
    const { abbreviation, name } = STITCHES[kind][terms]
    said = said
      .replace(new RegExp(`\\bFP${abbreviation}\\b`, 'gi'), `front post ${name}`)
      .replace(new RegExp(`\\bBP${abbreviation}\\b`, 'gi'), `back post ${name}`)
      .replace(new RegExp(`\\b${abbreviation}(\\d+)tog\\b`, 'gi'), `$1 ${name} together`)
      .replace(new RegExp(`\\b${abbreviation}\\b`, 'gi'), name)
  }
  for (const [short, long] of SAID) said = said.replace(short, long)
  return said.replace(/\s*[,:]\s*([,:]\s*)*/g, ', ').replace(/^, |, $/g, '').replace(/\s{2,}/g, ' ').trim()
}
