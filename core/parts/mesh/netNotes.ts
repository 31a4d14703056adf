import { tape } from '../../things/stitch/translate'
import { asksWords, divides, nearestCounts } from '../part/asks'
import type { Finding, Fix } from '../part/finding'
import { closingWays } from './closing'
import type { Plan } from './loopsPlan'
import { loopsAsks, type LoopsSpec, MOST_FAN_ROWS, type Motif } from './loopsSpec'

/** Which rounds of a net have fans: every so many, never the first or the last. */
export function isFanRound({ motif }: LoopsSpec, i: number, rounds: number): boolean {
  return motif !== undefined && i > 0 && i < rounds - 1 && i % motif.every === 0
}

export function netFindings(spec: LoopsSpec, plan: Plan, loops: number, chainCm: number, belowCm: number): Finding[] {
  const found: Finding[] = []
  const tightest = Math.min(...plan.chains.map(n => n * chainCm * loops))
  if (tightest < belowCm * 0.98) {
    found.push({
      code: 'loops-tight', weight: 'watch',
      what:
        `Stretched flat, the shortest loops go ${tape(tightest)} round, and the edge below ${tape(belowCm)}: they draw it in. Give `
        + 'them more chains, or skip fewer stitches.',
    })
  }
  if (spec.motif && !plan.chains.some((_, i) => isFanRound(spec, i, plan.chains.length))) {
    found.push({
      code: 'fans-nowhere', weight: 'note',
      what:
        `No round of fans comes in so few rounds: the first would be round ${spec.motif.every + 1} of the net, and the last round `
        + 'has none.',
    })
  }
  return found
}

/** A fan's rows go there and back: after an even number the hook is at its near end again, with the wrong side facing. */
function evenFan({ rows }: Motif): Finding {
  const fixes = [rows + 1, rows - 1]
    .filter(odd => odd <= MOST_FAN_ROWS)
    .map((odd): Fix => ({
      label: `Fans of ${odd} ${odd === 1 ? 'row' : 'rows'}`,
      changes: [{ path: ['motif', 'rows'], value: odd }],
    }))
  return {
    code: 'fan-even-rows', weight: 'stop',
    what: `A fan of ${rows} rows leaves the hook where the fan began, with the wrong side facing. Work an odd number of rows.`,
    fix: fixes[0]!, otherFixes: fixes.slice(1),
  }
}

/** Remarks beside each round: its marker, and to count before fans. */
export function notesFor(spec: LoopsSpec, plan: Plan, loops: number): (string | undefined)[] {
  const rounds = plan.chains.length
  return plan.chains.map((_, i) => {
    const marker = spec.ends === 'closed' ? 'Marker in the closing stitch.' : 'Marker in the last {sc}.'
    if (!isFanRound(spec, i + 1, rounds)) return marker
    return (
      `${marker} Count the loops before the fans: there must be ${loops}, a multiple of ${spec.motif!.between + 1}. A missing one `
      + 'is easily added; one too many has to be ripped back.'
    )
  })
}

export function adviceFor(spec: LoopsSpec, plan: Plan, chain: 'measured' | 'estimated' | 'assumed'): string[] {
  const advice: string[] = []
  if (spec.ends === 'closed') {
    const longest = Math.max(...plan.chains)
    const others = closingWays(longest)
      .slice(1)
      .map(({ chains, kind }) => `ch ${chains} and {${kind}}`)
    advice.push(
      'The last loop of each round is closed by chains and a taller stitch, together as long as a loop, so that the next round starts '
      + 'at its top. Mark that stitch every round: losing it is how a loop goes '
      + `missing.${others.length > 0 ? ` For loops of ${longest} some work ${others.join(', or ')} instead.` : ''}`,
    )
  }
  else advice.push('Worked on and on: the rounds climb like a stair. Move a marker up in the last {sc} of every round.')
  if (chain !== 'measured')
    advice.push(
      'No chain was measured: a chain is taken to be as long as your {sc.name} is wide. Ten chains on a tape make the net\'s size surer.',
    )
  return advice
}

/** Why a net cannot be worked on so many stitches; nothing if it can. */
export function refusedOn(spec: LoopsSpec, stitches: number): Finding | undefined {
  const asks = loopsAsks(spec)
  if (divides(stitches, asks)) return spec.motif && spec.motif.rows % 2 === 0 ? evenFan(spec.motif) : undefined
  const { below, above } = nearestCounts(stitches, asks)
  return {
    code: 'does-not-divide', weight: 'stop',
    what:
      'This net asks for '
      + `${asksWords(asks)}${spec.motif ? ` (${spec.skip + 1} a loop, ${spec.motif.between + 1} loops a fan)` : ''}, and `
      + `${stitches} stitches come up from below; it could be worked on `
      + `${below === undefined ? 'at least ' : `${below} or `}${above}. Add an adjusting round below it, or change the base.`,
  }
}
