import { ownTexture } from '../band/own'
import { between, count, ownRepeat, yarn } from '../field/questions'
import type { Setting } from '../part/part'
import { meanRise } from '../texture/texture'
import { workTexture } from '../texture/workTexture'
import type { MotifBand, MotifKind, Outward, Within } from './motifKind'

const fields = {
  repeat: ownRepeat({ unasked: true, says: 'The id of one of the design\'s repeats.' }),
  rounds: count('Rounds', between(1, 60), { begins: 2, usually: between(1, 4) }), colour: yarn(),
} as const

/** Rounds of a motif in a repeat of the maker's own. */
interface OwnRounds extends MotifBand {
  readonly repeat: string
  readonly rounds: number
}

/** A repeat of the maker's own, round upon round (craft 7): it keeps its count, and is evened out by what comes on top. */
export const ownRounds: MotifKind = {
  kind: 'own', name: 'a repeat of your own', does: 'Typed in the same abbreviations as the pattern, and checked as you type.', fields,
  work: (band: MotifBand, { edge }: Within, setting: Setting): Outward => {
    const { repeat, rounds: wanted, colour } = band as OwnRounds
    const found = setting.repeats?.find(({ id }) => id === repeat)
    const texture = found && ownTexture(found)
    if (!texture)
      return { rounds: [], rises: [], findings: [{
        code: 'own-broken', weight: 'stop', what: 'These rounds are in a repeat of your own that cannot be worked as it is written.',
      }] }
    const joined = { ...setting, turns: 0, rounds: { ...setting.rounds, style: 'joined' } } as const
    const { rounds, rises, findings } = workTexture(texture, { size: { pin: { rounds: wanted } }, colour }, edge, joined)
    const plain = findings.map(({ code, weight, what }) => ({ code, weight, what }))
    return { rounds, rises: rises ?? rounds.map(() => meanRise(texture, setting.gauge)), findings: plain }
  },
}
