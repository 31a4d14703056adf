import type { Design } from '../design/design'
import { type Naming, partNames } from '../design/partNames'
import { contextsIn } from '../design/partContexts'
import { gaugeOf } from '../../things/gauge/gauge'
import { formatMetres } from '../../things/measure/amounts'
import { formatCm, type Units } from '../../things/measure/format'
import { asksWords } from '../../parts/part/asks'
import { demandOf } from '../../parts/wall/wall'
import { bareWall } from '../../parts/wall/adjusted'
import type { Collision, FitResult, Fitting } from './fit'

function offWords(off: Fitting['off'], units: Units): string {
  const told = off.filter(({ cm }) => Math.abs(cm) >= 0.05)
  if (told.length === 0) return 'as wanted'
  const more = {
    'length': ['longer', 'shorter'], 'width': ['wider', 'narrower'], 'across': ['wider across', 'narrower across'],
    'flat width': ['wider lying flat', 'narrower lying flat'],
  } as const
  return told.map(({ size, cm }) => `${formatCm(Math.abs(cm), units)} ${more[size][cm > 0 ? 0 : 1]}`).join(', ')
}

function adjustingWords({ adjusting, wall }: Fitting, naming: Naming): string {
  if (adjusting.length === 0) return 'nothing to adjust'
  const bare = bareWall(wall)
  const names = partNames({ ...naming, wall: bare })
  return adjusting
    .map(({ before, from, to }) => {
      const where = before === bare.length ? 'at the mouth' : before === 0 ? 'above the base' : `before ${names[before]}`
      const changes = Math.abs(to - from)
      return `${where} a round of ${changes} `
        + `${to > from ? (changes === 1 ? 'increase' : 'increases') : changes === 1 ? 'decrease' : 'decreases'}, to ${to}`
    })
    .join('; ')
}

/** An alternative in one line: `96 stitches, 0.4 cm longer, nothing to adjust`. */
export function fittingWords(fitting: Fitting, design: Naming & Pick<Design, 'units'>): string {
  const rounds = fitting.yarn?.rounds === undefined ? '' : `, ${fitting.yarn.rounds} rounds of what takes the yarn that is left`
  const yarn = fitting.yarn ? `; ${formatMetres(Math.ceil(fitting.yarn.metres), design.units)} of yarn${rounds}` : ''
  return `${fitting.stitches} stitches, ${offWords(fitting.off, design.units)}, ${adjustingWords(fitting, design)}${yarn}`
}

/** Demands of everything up to a part, part by part. */
function asksUpTo(design: Design, at: number): string {
  const wall = bareWall(design.wall)
  const gauge = gaugeOf(design.gauge)
  const names = partNames({ ...design, wall })
  const said = wall.slice(0, at + 1).flatMap((spec, i) => {
    const demand = demandOf(spec, contextsIn(design, gauge))
    const { multiple, plus } = demand?.asks ?? { multiple: 1, plus: 0 }
    return demand && (multiple > 1 || plus !== 0)
      ? [`${names[i]} asks for ${asksWords(demand.asks)} and leaves ${demand.leaves(multiple + plus) - plus} for each ${multiple}`]
      : []
  })
  if (at >= wall.length && design.mouth) said.push(`the mouth asks for ${asksWords({ multiple: design.mouth.divides, plus: 0 })}`)
  return said.join('; ')
}

/** Why nothing fits. */
export function collisionWords(design: Design, { at, bases }: Collision): string {
  const asks = asksUpTo(design, at)
  const wall = bareWall(design.wall)
  if (bases === 0) return 'No base of this form comes as near to the wanted size. Allow more centimetres.'
  return `None of ${bases} bases gets further than `
    + `${at >= wall.length ? 'the mouth' : partNames({ ...design, wall })[at]}${asks ? `: ${asks}` : ', which finds no room there'}. `
    + 'Allow more centimetres or an adjusting round, or give one of these another repeat.'
}

/** How far a search went, in a line. */
export function searchWords({ weighed, found, tooMuchYarn = 0 }: FitResult): string {
  const short = tooMuchYarn > 0 ? `${tooMuchYarn.toLocaleString('en')} of them want more yarn than there is; ` : ''
  if (found.length === 0 && tooMuchYarn > 0) {
    return `All ${weighed.toLocaleString('en')} combinations want more yarn than there is. Allow a smaller base, or make a band lower.`
  }
  return `${weighed.toLocaleString('en')} combinations weighed; ${short}the ${found.length === 1 ? 'best' : `best ${found.length}`} shown, `
    + 'what costs least first.'
}
