/**
 * A hook size with its names. Millimetres rule: letters and numbers differ between makers of hooks.
 * `us` is from the Craft Yarn Council's Standards & Guidelines, "Crochet Hook Sizes"; `uk` is the old British
 * (imperial) number; both from memory.
 */
interface HookSize {
  readonly mm: number
  readonly us?: string
  readonly uk?: string
}

export const HOOK_SIZES: readonly HookSize[] = [
  { mm: 2, uk: '14' },
  { mm: 2.25, us: 'B-1', uk: '13' },
  { mm: 2.5, uk: '12' },
  { mm: 2.75, us: 'C-2' },
  { mm: 3, uk: '11' },
  { mm: 3.125, us: 'D' },
  { mm: 3.25, us: 'D-3', uk: '10' },
  { mm: 3.5, us: 'E-4', uk: '9' },
  { mm: 3.75, us: 'F-5' },
  { mm: 4, us: 'G-6', uk: '8' },
  { mm: 4.25, us: 'G' },
  { mm: 4.5, us: '7', uk: '7' },
  { mm: 5, us: 'H-8', uk: '6' },
  { mm: 5.25, us: 'I' },
  { mm: 5.5, us: 'I-9', uk: '5' },
  { mm: 5.75, us: 'J' },
  { mm: 6, us: 'J-10', uk: '4' },
  { mm: 6.5, us: 'K-10½', uk: '3' },
  { mm: 7, uk: '2' },
  { mm: 8, us: 'L-11', uk: '0' },
  { mm: 9, us: 'M/N-13', uk: '00' },
  { mm: 10, us: 'N/P-15', uk: '000' },
  { mm: 11.5, us: 'P-16' },
  { mm: 12 },
  { mm: 15, us: 'P/Q' },
  { mm: 15.75, us: 'Q' },
  { mm: 16, us: 'Q' },
  { mm: 19, us: 'S' },
  { mm: 25, us: 'T/U/X' },
  { mm: 30, us: 'T/X' },
]

/** The names of a hook in US letters and numbers: `H-8` is known as `H-8`, `H8`, `8/H`, `8H` and `H`. */
function usNames(us: string): string[] {
  const [letters, number] = us.split('-') as [string, string | undefined]
  const each = letters.split('/')
  if (number === undefined) return [us, ...each]
  return [us, ...each.flatMap(one => [one, `${one}${number}`, `${number}/${one}`, `${number}${one}`])]
}

/** A hook size as makers name it, in millimetres: `H-8`, `US H`, `8/H`, `UK 8`; of a letter with two sizes the numbered one. */
export function hookNamed(text: string): number | undefined {
  const plain = text.trim().toUpperCase().replace(/ ?1\/2/, '½').replaceAll(' ', '')
  const british = /^UK(\d+)$/.exec(plain)
  if (british) return HOOK_SIZES.find(({ uk }) => uk === british[1])?.mm
  const named = plain.replace(/^US/, '')
  const sizes = HOOK_SIZES.filter(({ us }) => us !== undefined)
  const numbered = [...sizes.filter(({ us }) => us!.includes('-')), ...sizes]
  return (sizes.find(({ us }) => us === named && us.length > 1) ?? numbered.find(({ us }) => usNames(us!).includes(named)))?.mm
}

/** `3.5 mm (US E-4, UK 9)`; a size that no list names is its millimetres alone. */
export function hookLabel(mm: number): string {
  const size = HOOK_SIZES.find(hook => hook.mm === mm)
  const names = [size?.us && `US ${size.us}`, size?.uk && `UK ${size.uk}`].filter(Boolean)
  return names.length > 0 ? `${mm} mm (${names.join(', ')})` : `${mm} mm`
}
