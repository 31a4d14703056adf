import { describe, expect, it } from 'vitest'
import { askedAt } from './askedAt'
import type { Change, Finding } from './finding'

const finding = (part: string | undefined, ...fixes: Change[][]): Finding => {
  const [fix, ...otherFixes] = fixes.map(changes => ({ label: 'x', changes }))
  return { code: 'c', weight: 'watch', what: '', ...(part ? { part } : {}), ...(fix ? { fix, otherFixes } : {}) }
}

describe('where a finding is asked', () => {
  it('is what its fix would answer, in whatever part that is', () => {
    expect(askedAt(finding('part-2', [{ path: ['wall', 'part-1', 'size'], value: {} }])))
      .toEqual({ part: 'part-1', path: 'wall.part-1.size' })
    expect(askedAt(finding('base', [{ path: ['base', 'size', 'want'], value: {} }]))).toEqual({ part: 'base', path: 'base.size.want' })
    expect(askedAt(finding('part-2', [{ path: ['stretch'], value: 1 }]))).toEqual({ part: 'bag', path: 'stretch' })
    expect(askedAt(finding('turnUp', [{ path: ['turnUp'], value: 'plain' }]))).toEqual({ part: 'turnUp', path: 'turnUp' })
  })

  it('is in the first of its fixes that answers a question, not one that lays the wall out anew', () => {
    const anew = [{ path: ['wall'], value: [] }, { path: ['repeats'], value: [] }]
    expect(askedAt(finding('part-3', anew, [{ path: ['wall', 'part-3', 'stitch'], value: 'dc' }])))
      .toEqual({ part: 'part-3', path: 'wall.part-3.stitch' })
    expect(askedAt(finding('part-3', anew))).toEqual({ part: 'part-3' })
    expect(askedAt(finding('part-3', [{ path: ['wall', 'part-3'], value: {} }]))).toEqual({ part: 'part-3' })
  })

  it('is the part that it is about, or nowhere', () => {
    expect(askedAt(finding('part-1'))).toEqual({ part: 'part-1' })
    expect(askedAt(finding(undefined))).toBeUndefined()
  })
})
