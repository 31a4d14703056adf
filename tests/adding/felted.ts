import { between, count, maybe } from '../../core/parts/field/questions'

const fields = { shrinksPercent: count('It shrinks by', between(1, 60), { begins: 25, usually: between(10, 40) }) } as const

/** An exercise in adding a field: a bag that is felted in the end, and shrinks. */
export const felted = maybe('Felted in the end', fields, {
  without: { name: 'left as it is' }, having: { name: 'felted' }, begin: { shrinksPercent: 25 },
  says: 'The bag is felted when it is done, and shrinks by so many percent.',
})
