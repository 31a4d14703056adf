import { describe, expect, it } from 'vitest'
import type { Draft } from '../../core/bag/draft/draft'
import { draft } from '../../core/bag/draft/draft'
import { asMarkdown, asText } from '../../core/readers/words/asText'
import { type Pattern, patternOf, piecesOf } from '../../core/readers/words/pattern'
import { saidLines, saidRows } from '../../core/readers/words/lines'
import type { Clause } from '../../core/readers/words/sentence'
import { makes, spokenOf } from '../../core/readers/words/sentence'
import { demoDesigns, MANNERS, randomDesigns } from './spokenOf'

const LONG_MS = 1_200_000
const designs = [...demoDesigns().map(({ design }) => design), ...randomDesigns(40)]
const drafts = designs.map(design => draft(design))

const linesOf = (pattern: Pattern) => pattern.sections.flatMap(({ lines }) => lines)
const textOf = (pattern: Pattern) => linesOf(pattern).map(({ words }) => words)

/** What must not stand in any line, and why. */
const NEVER: readonly (readonly [RegExp, string])[] = [
  [
    /(?<![\]}] )(?<!\d more )\b(?:\d+|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty) times\b(?<!more times)/,
    'a bare "n times"',
  ],
  [/\btwice\b|\bonce\b(?! more)/, 'how often in words'], [/\[[^\]]*\[/, 'square brackets in square brackets'],
  [/\{[^}]*\{/, 'curly brackets in curly brackets'], [/\([^)]*\((?!counts)/, 'round brackets in round brackets'],
  [/\bnext(?: \d+)?(?=[,;\]}]|$)/, 'next what?'], [/\b1 (?:sts|chs|loops|ch-sps|row ends|holes)\b/, '"1 sts"'],
  [/\b(?:[2-9]|\d\d+) (?:st|ch|loop|ch-sp|row end|hole)(?![\w-]|.?\])/, 'many of one'], [/\bnext 1 \b/, 'next 1'],
  [/NaN|undefined|\{\w+\}/, 'a slip'], [/^(?!.*counts as first [a-z ]+ and ch \d).*\d\w\w ch of beg ch/i, 'a join to the third chain of a foundation'],
]

describe('the words of every round', () => {
  it.each(MANNERS)(
    'in %s terms with %s keep the rules',
    (terms, repeats) => {
      for (const drafted of drafts) {
        for (const words of textOf(patternOf(drafted, terms, repeats))) {
          for (const [pattern, why] of NEVER.slice(0, repeats === 'asterisk' ? 10 : undefined)) expect(words, why).not.toMatch(pattern)
        }
      }
    },
    LONG_MS,
  )

  it(
    'say neighbouring plain stitches as one run',
    () => {
      const runs = (clauses: readonly Clause[]): void => {
        clauses.forEach((clause, i) => {
          const before = clauses[i - 1]
          if (clause.say === 'repeat') runs(clause.clauses)
          if (clause.say !== 'work' || before?.say !== 'work' || clause.into.at !== 'next' || clause.rows) return
          expect(JSON.stringify({ ...clause, places: 0 })).not.toBe(JSON.stringify({ ...before, places: 0 }))
        })
      }
      for (const drafted of drafts)
        for (const { sentence } of saidLines(drafted, { terms: 'us', repeats: 'brackets' })) runs(sentence.clauses)
    },
    LONG_MS,
  )

  it(
    'tile the round: clause after clause makes every thing, none left out',
    () => {
      for (const drafted of drafts) {
        saidLines(drafted, { terms: 'us', repeats: 'brackets' }).forEach(({ sentence, words }, i) => {
          const { edge, round } = drafted.rounds[i]!.worked
          const spoken = spokenOf(sentence)
          spoken.forEach(({ clause, from, to }, at) => {
            expect(to - from).toBe(makes(clause))
            expect(from, words).toBe(at === 0 ? from : spoken[at - 1]!.to)
          })
          expect((spoken.at(-1)?.to ?? 1) + (round.closing ? 1 : 0), words).toBe(edge.count)
        })
      }
    },
    LONG_MS,
  )

  it(
    'are whole in every piece too',
    () => {
      for (const drafted of drafts) {
        for (const piece of piecesOf(drafted)) {
          saidRows(piece, { terms: 'uk', repeats: 'brackets' }).forEach(({ sentence }, i) =>
            expect((spokenOf(sentence).at(-1)?.to ?? 1) + (piece.rows[i]!.round.closing ? 1 : 0)).toBe(piece.rows[i]!.edge.count),
          )
        }
      }
    },
    LONG_MS,
  )
})

/** Everything a maker reads before care. */
function said(pattern: Pattern): string {
  return pattern.sections
    .flatMap(({ lead = '', advice, lines, finish = [] }) => [
      lead, ...advice, ...lines.map(({ words, count, note = '' }) => `${words} ${count} ${note}`), ...finish,
    ])
    .concat(pattern.finishing, pattern.notes, pattern.special.map(({ long }) => long))
    .join('\n')
}

/** Short forms that could be used, looked for from outside. */
const SHORT = {
  us: ['sl st', 'sc', 'hdc', 'dc', 'tr', 'sk', 'ch-sp', 'beg', 'rep'],
  uk: ['ss', 'dc', 'htr', 'tr', 'dtr', 'miss', 'ch-sp', 'beg', 'rep'],
} as const

function uses(text: string, short: string): boolean {
  return new RegExp(`(?<![\\w-])(?:[FB]P)?${short}s?(?:\\d+tog)?(?![\\w-])`, 'i').test(text)
}

describe('the abbreviations', () => {
  it.each(MANNERS)(
    'in %s terms with %s are those used, and no others',
    (terms, repeats) => {
      for (const drafted of drafts) {
        const pattern = patternOf(drafted, terms, repeats)
        const text = said(pattern)
        const explained = new Set(pattern.abbreviations.map(({ short }) => short))
        for (const short of SHORT[terms]) {
          const used = uses(text.replace(/\bbegin\w*|\bmissing\b/gi, ''), short) || (short === 'ch-sp' && / ch-\d+ sps?\b/.test(text))
          expect(explained.has(short), `${pattern.title}: ${short} is ${used ? 'used' : 'not used'}\n${text.slice(0, 3000)}`).toBe(used)
        }
      }
    },
    LONG_MS,
  )
})

/**
 * Abbreviations of the Craft Yarn Council's published list (US) and its UK column, from memory; `miss` and `ss` are the UK forms. Those
 * of posts and decreases are made of them (craft 15).
 */
const PUBLISHED = new Set([
  'ch', 'sl st', 'sc', 'hdc', 'dc', 'tr', 'ch-sp', 'sp', 'sk', 'beg', 'rep', 'st, sts', 'ss', 'htr', 'dtr', 'miss',
])

it('uses no abbreviation but published ones', () => {
  for (const drafted of drafts) {
    for (const [terms, repeats] of MANNERS) {
      const { abbreviations, special } = patternOf(drafted, terms, repeats)
      for (const { short } of abbreviations) expect(PUBLISHED.has(short.replace(/^[FB]P/, '').replace(/\d+tog$/, '')), short).toBe(true)
      for (const { short } of special)
        expect(short === 'fan' || PUBLISHED.has(short.replace(/^(long |reverse |[FB]P)/, '')), short).toBe(true)
    }
  }
}, LONG_MS)

/** Rounds as a reader would work them off: blocks that come again are gone through again. */
function workedOff(pattern: Pattern): number[] {
  const rounds: number[] = []
  for (const { lines, piece } of pattern.sections) {
    if (piece) continue
    for (const { from, to, again } of lines) {
      const span = again ? (again.to - again.from + 1) * again.times : to - from + 1
      expect(span).toBe(to - from + 1)
      for (let round = from; round <= to; round++) rounds.push(round)
    }
  }
  return rounds
}

function turnsOut(drafted: Draft): boolean {
  return drafted.rounds.some(({ worked }) => worked.round.join === 'slip' && worked.round.begin.turn)
}

describe('the whole pattern', () => {
  it('goes through every round once, blocks that come again included', () => {
    for (const drafted of drafts) expect(workedOff(patternOf(drafted, 'us'))).toEqual(drafted.rounds.map(({ number }) => number))
  })

  it('writes a block that comes again once', () => {
    const basket = drafts.find(({ design }) => design.name === 'Nutting basket')!
    const lines = linesOf(patternOf(basket, 'us'))
    expect(lines.map(({ words }) => words)).toContain('Rep Rounds 23–24, 11 more times')
    expect(patternOf(basket, 'us').abbreviations.map(({ short }) => short)).toContain('rep')
  })

  it('says once which side faces at the end of turned work, and it is true', () => {
    for (const drafted of drafts) {
      const told = patternOf(drafted, 'us').notes.filter(note => note.startsWith('After the last round'))
      expect(told).toEqual(
        turnsOut(drafted) ? [`After the last round the ${drafted.rounds.at(-1)!.worked.round.facing} side ` + 'faces you.'] : [],
      )
    }
  })

  it('never goes out as finished when the draft stops', () => {
    const stopped = drafts.filter(({ findings }) => findings.some(({ weight }) => weight === 'stop'))
    expect(stopped.length).toBeGreaterThan(3)
    for (const drafted of stopped) {
      const pattern = patternOf(drafted, 'us')
      expect(pattern.unfinished.length).toBeGreaterThan(0)
      expect(pattern.finishing).toEqual([])
      expect(asText(pattern)).toContain('NOT FINISHED')
      expect(asMarkdown(pattern)).toContain('**Not finished')
    }
    for (const drafted of drafts) if (!stopped.includes(drafted)) expect(asText(patternOf(drafted, 'us'))).not.toContain('NOT FINISHED')
  })

  it('numbers its walls without gaps, and wraps no range of stitches', () => {
    for (const drafted of drafts) {
      const pattern = patternOf(drafted, 'us')
      const walls = pattern.sections.flatMap(({ title, piece }) => (piece ? [] : (/^Wall (\d+)/.exec(title)?.[1] ?? [])))
      expect(walls).toEqual(walls.map((_, i) => String(i + 1)))
      for (const [, from, to] of said(pattern).matchAll(/\bsts (\d+)–(\d+)/g)) expect(Number(from)).toBeLessThanOrEqual(Number(to))
      expect(said(pattern)).not.toMatch(/Rounds (\d+) to \1\b/)
    }
  })
})
