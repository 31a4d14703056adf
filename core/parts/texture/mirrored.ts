import { same } from '../../things/measure/same'
import type { Step, StitchStep } from '../../things/round/step'
import type { Texture, TextureRound } from './texture'

/*
 * A round of a texture the other way about: worked from its end to its beginning on a round that lies the other way about as well, it
 * makes the same fabric.
 */

/** A step, and those after it that go into the same place. */
function clusters(steps: readonly Step[]): Step[][] {
  const found: Step[][] = []
  for (const step of steps) {
    const again = 'aim' in step && step.aim === 'same'
    const last = found.at(-1)
    if (again && last) last.push(step)
    else if (step.do === 'stitch' && step.times > 1) found.push([{ ...step, times: step.times - 1 }], [{ ...step, times: 1 }])
    else found.push([step])
  }
  return found
}

function other(step: Step): Step {
  switch (step.do) {
    case 'group': return { ...step, steps: [...step.steps].reverse() }
    case 'repeat': return { ...step, steps: mirrorOf(step.steps) }
    default: return step
  }
}

/** Steps into one place the other way about: the one that came last gets there first. */
function turnedAbout(cluster: readonly Step[]): Step[] {
  const [first, ...again] = cluster
  const last = again.pop()
  if (!last) return [other(first!)]
  const { aim: _, ...arrives } = last as StitchStep
  const stays = (step: Step): Step => ({ ...(step as StitchStep), aim: 'same' })
  return [other(arrives), ...again.reverse().map(other), other(stays(first!))]
}

/** Whether two stitches are the same but for how many of them there are. */
function alike(a: StitchStep, b: StitchStep): boolean {
  return same({ ...a, times: 0 }, { ...b, times: 0 })
}

/** Runs of one stitch that were cut are one again. */
function joined(steps: readonly Step[]): Step[] {
  const found: Step[] = []
  for (const step of steps) {
    const last = found.at(-1)
    const more = step.do === 'stitch' && last?.do === 'stitch' && step.aim !== 'same' && alike(step, last)
    if (more) found[found.length - 1] = { ...last, times: last.times + step.times }
    else found.push(step)
  }
  return found
}

function mirrorOf(steps: readonly Step[]): Step[] {
  return joined(clusters(steps).reverse().flatMap(turnedAbout))
}

/** A round of a texture the other way about. */
export function mirrored({ first = [], repeat, last = [] }: TextureRound): TextureRound {
  return { first: mirrorOf(last), repeat: mirrorOf(repeat), last: mirrorOf(first) }
}

/** Whether a texture is one and the same stitch in every place, which is the same both ways from wherever it begins. */
export function isPlainly({ straight: { setUp, cycle }, finish }: Texture): boolean {
  return !finish && [...setUp, ...cycle].every(({ first, repeat: [only, ...more], last }) =>
    !first?.length && !last?.length && more.length === 0 && only?.do === 'stitch' && (only.aim ?? 'next') === 'next')
}
