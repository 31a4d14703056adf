import { type Finding, type Weight, WEIGHTS } from './finding'

/** Findings, the heaviest first; of the same weight as they were found. */
export function worstFirst(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => WEIGHTS.indexOf(b.weight) - WEIGHTS.indexOf(a.weight))
}

/** So many findings of one weight. */
export interface FindingCount {
  readonly weight: Exclude<Weight, 'note'>
  readonly number: number
}

const TOLD = ['stop', 'caution', 'watch'] as const

/** How many findings of each weight there are, the heaviest first; what is only good to know is not counted. */
export function countByWeight(findings: readonly Finding[]): FindingCount[] {
  return TOLD
    .map(weight => ({ weight, number: findings.filter(finding => finding.weight === weight).length }))
    .filter(({ number }) => number > 0)
}

const WORDS: Readonly<Record<FindingCount['weight'], (number: number) => string>> = {
  stop: number => (number === 1 ? '1 stops it' : `${number} stop it`),
  caution: number => `${number} to take care of`,
  watch: number => `${number} to keep an eye on`,
}

/** Findings in a few words: `1 stops it, 2 to take care of`; nothing where there are none. */
export function countedWords(counted: readonly FindingCount[]): string {
  return counted.map(({ weight, number }) => WORDS[weight](number)).join(', ')
}
