import { describe, expect, it } from 'vitest'
import { FORMS, furtherFields, sizeFields, stitchField, valueAt } from '~/composables/baseFields'
import { readJson } from '~/reading/readJson'
import { BASE_FORMS, workBase } from '../../core/base/base'
import { pinned } from '../../core/base/sizing'
import { startBase } from '../../core/base/starters'
import { readDesign } from '../../core/design/read'
import { newDesign } from '../../core/design/starter'
import { gaugeOf } from '../../core/gauge/gauge'

const setting = { gauge: gaugeOf(newDesign('x').gauge), rounds: newDesign('x').rounds, index: 0, turns: 0 }
const like = { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 9, heightCm: 12 } as const

describe('what a base is asked', () => {
  it('offers every form once', () => expect(FORMS.map(({ value }) => value).sort()).toEqual([...BASE_FORMS].sort()))

  it.each(BASE_FORMS)('%s: every field has its place in the spec, and its bounds are the document\'s', (form) => {
    const want = startBase(form, like)
    for (const base of [want, pinned(want, setting, workBase(want, setting))]) {
      for (const field of [...sizeFields(base), ...furtherFields(base), stitchField('us')]) {
        expect(valueAt(base, field.path), field.label).toBeDefined()
        const answers = field.kind === 'choice' ? field.choices.map(({ value }) => value) : [field.bounds.least, field.bounds.most]
        for (const answer of answers) {
          const changed = JSON.parse(JSON.stringify(base)) as Record<string, unknown>
          const holder = field.path.slice(0, -1).reduce((at, key) => at[key] as Record<string, unknown>, changed)
          holder[field.path.at(-1)!] = answer
          expect(readDesign({ ...newDesign('Asked'), base: changed }).ok, `${field.label}: ${answer}`).toBe(true)
        }
        if (field.kind === 'choice') continue
        const beyond = JSON.parse(JSON.stringify(base)) as Record<string, unknown>
        const holder = field.path.slice(0, -1).reduce((at, key) => at[key] as Record<string, unknown>, beyond)
        holder[field.path.at(-1)!] = field.bounds.most + 1
        expect(readDesign({ ...newDesign('Asked'), base: beyond }).ok).toBe(false)
      }
    }
  })
})

describe('a chosen file', () => {
  it('is read as JSON, or refused with its name and what to choose', async () => {
    expect(await readJson(new File(['{"a":1}'], 'bag.json'), '.design.json')).toEqual({ ok: true, value: { a: 1 } })
    const cut = await readJson(new File(['{"a":'], 'cut.json'), '.design.json')
    expect(!cut.ok && cut.why).toContain('cut.json is not JSON')
    expect(!cut.ok && cut.why).toContain('.design.json')
    const huge = await readJson(new File(['x'.repeat(1_500_000)], 'huge.json'), '.design.json')
    expect(!huge.ok && huge.why).toContain('2 MB')
  })
})
