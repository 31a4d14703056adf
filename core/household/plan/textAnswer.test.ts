import { describe, expect, it } from 'vitest'
import { ORDER_FIELDS } from './order'
import { SHELF_YARN_FIELDS } from '../shelf/yarn'
import type { Field } from '../../parts/field/field'
import { textAnswered } from '../../parts/field/textAnswer'

const answered = (field: Field, text: string) => textAnswered({ name: 'it', field, path: ['it'], value: undefined }, text)
const said = (value: string | undefined) => [{ path: ['it'], value }]

describe('text answered', () => {
  it('is taken as it is typed', () => {
    for (const text of ['', 'W', 'Wren'])
      expect(answered(ORDER_FIELDS.forWhom, text)).toEqual(said(text))
  })

  it('of a certain form is no answer until it has that form: planning begins in no year that is half typed', () => {
    for (const half of ['', '0002-12-05', '0020-12-05', '0202-12-05', '12026-12-05'])
      expect(answered(ORDER_FIELDS.by, half)).toBeUndefined()
    expect(answered(ORDER_FIELDS.by, '2026-12-05')).toEqual(said('2026-12-05'))
    expect(answered(ORDER_FIELDS.startsAt, '19:')).toBeUndefined()
    expect(answered(ORDER_FIELDS.startsAt, '19:30')).toEqual(said('19:30'))
  })

  it('that is emptied is left out where that may be, whatever its form', () => {
    expect(answered(SHELF_YARN_FIELDS.balls.of.lot, '')).toEqual(said(undefined))
    expect(answered({ ...ORDER_FIELDS.by, optional: true }, '')).toEqual(said(undefined))
  })
})
