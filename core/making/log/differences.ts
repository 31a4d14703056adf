import { formatGrams } from '../../things/measure/amounts'
import { formatCm, type Units } from '../../things/measure/format'
import { SIDE_WORDS } from './facts'
import type { BagFacts } from './bagFacts'
import { keyWords } from './paceKey'
import { minutesWords } from './time'

/** Something of two bags, side by side. */
interface Difference {
  readonly what: string
  readonly a: string
  readonly b: string
  readonly differs: boolean
}

function row(what: string, a: string, b: string): Difference {
  return { what, a: a || '–', b: b || '–', differs: a !== b }
}

function union(a: readonly string[], b: readonly string[]): string[] {
  return [...new Set([...a, ...b])]
}

function sizesOf({ sizes }: BagFacts, units: Units): Map<string, string> {
  return new Map(sizes.map(({ part, what, rounds, cm }) => [`${part}, ${SIDE_WORDS[what]}`, `${formatCm(cm, units)} (${rounds} rounds)`]))
}

function pacesOf({ pace }: BagFacts): Map<string, string> {
  return new Map(pace.map(({ key, minutes, stitches }) => [`Pace of ${keyWords(key)}`, `${((60 * minutes) / stitches).toFixed(1)} s`]))
}

function yarnsOf({ yarn }: BagFacts, units: Units): Map<string, string> {
  return new Map(yarn.map(({ name, grams, whole }) => [`${name}${whole ? '' : ', a stretch of it'}`, formatGrams(grams, units)]))
}

function tensionOf({ tension }: BagFacts): Map<string, string> {
  const of = (key: string, side: string) => tension.filter(one => one.key === key && one.side === side)
  const keys = union(tension.map(({ key, side }) => `${key}|${side}`), [])
  return new Map(keys.map((both) => {
    const [key, side] = both.split('|') as [string, string]
    const own = of(key, side)
    const mean = own.reduce((sum, { cm }) => sum + cm, 0) / own.length
    return [`${keyWords(key)}, ${side === 'width' ? 'across' : 'up'}, over 10 cm`, (10 / mean).toFixed(1)]
  }))
}

function rows(a: ReadonlyMap<string, string>, b: ReadonlyMap<string, string>): Difference[] {
  return union([...a.keys()], [...b.keys()]).map(what => row(what, a.get(what) ?? '', b.get(what) ?? ''))
}

/** Two bags side by side: what is the same, and what differs. */
export function differences(a: BagFacts, b: BagFacts, units: Units): Difference[] {
  const both = (what: string, of: (bag: BagFacts) => string) => row(what, of(a), of(b))
  return [
    both('Hook', ({ hookMm, strands }) => `${hookMm} mm${strands > 1 ? `, ${strands} strands` : ''}`),
    both('Yarn', ({ yarnUsed, yarns }) => yarnUsed || yarns.map(({ name }) => name).join(', ')),
    both('For', ({ forWhom }) => forWhom), both('Rounds', ({ rounds }) => String(rounds.done)),
    both('Stitches', ({ stitches }) => String(stitches)), both('Time at the hook', ({ minutes }) => minutesWords(minutes)),
    both('Sittings', ({ sittings }) => String(sittings.length)), both('Rounds ripped back', ({ ripped }) => String(ripped.rounds)),
    both('Counts that were off', ({ off }) => String(off.length)), ...rows(sizesOf(a, units), sizesOf(b, units)),
    ...rows(tensionOf(a), tensionOf(b)), ...rows(pacesOf(a), pacesOf(b)), ...rows(yarnsOf(a, units), yarnsOf(b, units)),
  ]
}
