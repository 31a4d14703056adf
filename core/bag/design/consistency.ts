import { formOf, isKnownForm } from '../../parts/base/base'
import { type Answer, answersOf } from '../../parts/field/spec'
import { FABRIC_KINDS } from '../../things/stitch/dictionary'
import { isKnownPart, kindOf } from '../../parts/wall/wall'
import type { Design, DesignGauge } from './design'
import { DESIGN_VERSION } from './versions'
import { designFields, MOST_BANDS, partFields } from './documentFields'
import type { Problem } from './problem'
import { listOf, oneKind, type Sound, soundObject } from './quickCheck'

/*
 * Whether a bag makes sense: what no single field can tell, and a quick look at all of them. The page asks this of every edit, and needs
 * none of the classes for it.
 */

/** Stitches narrower or wider than this are a slip of the pen, whatever the yarn (from memory). */
const STITCH_CM = { least: 0.05, most: 12 }

/** A gauge that no stitch could have: too narrow, too wide, or none at all. */
export function gaugeProblems(gauge: DesignGauge): Problem[] {
  const measured = FABRIC_KINDS.filter(kind => gauge.measured[kind])
  if (measured.length === 0) return [{ field: 'gauge.measured', message: 'must hold at least one measured stitch: sc, hdc, dc or tr' }]
  return [
    ...chainProblems(gauge),
    ...measured.flatMap((kind) => {
      const { stitches, rounds, overCm, tallCm } = gauge.measured[kind]!
      const sizes = { stitches: overCm / stitches, rounds: (tallCm ?? overCm) / rounds }
      return (['stitches', 'rounds'] as const)
        .filter(what => sizes[what] < STITCH_CM.least || sizes[what] > STITCH_CM.most)
        .map(what => ({
          field: `gauge.measured.${kind}.${what}`,
          message: `makes a ${kind} ${sizes[what].toPrecision(2)} cm ${what === 'stitches' ? 'wide' : 'tall'}; count again, or measure `
            + 'over another width',
        }))
    }),
  ]
}

function chainProblems({ chain }: DesignGauge): Problem[] {
  if (!chain) return []
  const cm = chain.overCm / chain.chains
  return cm < STITCH_CM.least || cm > STITCH_CM.most
    ? [{ field: 'gauge.chain.chains', message: `makes a chain ${cm.toPrecision(2)} cm long; count again, or measure over another length` }]
    : []
}

/** The first of a list whose id another one before it has. */
function sameIds(things: readonly { readonly id: string }[], field: string, what: string): Problem[] {
  const ids = things.map(({ id }) => id)
  const twice = ids.findIndex((id, i) => ids.indexOf(id) !== i)
  return twice >= 0 ? [{ field: `${field}.${twice}.id`, message: `is used by two ${what}; give each its own` }] : []
}

/** References of a base's or part's answers to what is not there: yarns, repeats. */
function lost(answers: readonly Answer[], field: string, design: Design): Problem[] {
  const known = { yarn: design.yarns, repeat: design.repeats }
  return answers.flatMap(({ field: { is }, path, value }) => {
    if (is !== 'yarn' && is !== 'repeat') return []
    const there = known[is].some(({ id }) => id === value)
    return there
      ? []
      : [{ field: [field, ...path].join('.'), message: `names a ${is} "${String(value)}" that is not in the list of ${is}s` }]
  })
}

function shorterStrip({ stretch }: Design): Problem[] {
  if (!stretch || stretch.afterCm >= stretch.beforeCm) return []
  return [
    {
      field: 'stretch.afterCm',
      message: `must be at least as long as before, ${stretch.beforeCm} (cm): a strip does not get shorter under a weight`,
    },
  ]
}

/** Problems that no single field can tell. */
export function designProblems(design: Design): Problem[] {
  const { yarns, wall, repeats, base } = design
  return [
    ...gaugeProblems(design.gauge), ...sameIds(yarns, 'yarns', 'yarns'), ...sameIds(wall, 'wall', 'parts'),
    ...sameIds(repeats, 'repeats', 'repeats'), ...lost(answersOf(formOf(base).fields, base), 'base', design),
    ...wall.flatMap((part, i) => lost(answersOf(kindOf(part).fields, part), `wall.${i}`, design)), ...shorterStrip(design),
  ]
}

const isBase = oneKind('form', form => (isKnownForm({ form }) ? formOf({ form }).fields : undefined))
const isPart = oneKind('kind', kind => (isKnownPart({ kind }) ? partFields(kindOf({ kind }).fields) : undefined))

/** Whether a bag is sound whose kinds are all known. */
const isSound = wholeOf(isBase, listOf(isPart, 0, MOST_BANDS))

function wholeOf(base: Sound, wall: Sound): Sound {
  const { base: _base, wall: _wall, ...others } = designFields([], [])
  return soundObject(others, { base, wall })
}

/** Why a bag that was changed here could not be kept so; nothing if it could. */
export function unsoundness(design: Design): Problem | undefined {
  if (!isSound(design) || design.version !== DESIGN_VERSION) return { field: 'bag', message: 'would no longer be a bag that can be kept' }
  return designProblems(design)[0]
}
