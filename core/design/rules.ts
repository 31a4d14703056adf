import 'reflect-metadata'
import { Type, type TypeOptions } from 'class-transformer'
import { IsBoolean, IsDefined, IsIn, IsInt, IsNumber, IsObject, IsString, Matches, Max, MaxLength, Min, MinLength, ValidateBy, ValidateNested } from 'class-validator'
import type { Bounds } from './bounds'

/*
 * The rules a field of a document can have, each with one message that says what to change. Messages are read behind
 * the field's path: "base.size.want.diameterCm: must be a number from 1 to 150 (cm)".
 */

type Rule = PropertyDecorator

function all(...rules: Rule[]): Rule {
  return (target, property) => rules.forEach(rule => rule(target, property))
}

/** A number within bounds. */
export function Between({ least: min, most: max }: Bounds, unit = ''): Rule {
  const message = `must be a number from ${min} to ${max}${unit && ` (${unit})`}`
  return all(IsNumber({}, { message }), Min(min, { message }), Max(max, { message }))
}

/** A whole number within bounds. */
export function Whole({ least: min, most: max }: Bounds): Rule {
  const message = `must be a whole number from ${min} to ${max}`
  return all(IsInt({ message }), Min(min, { message }), Max(max, { message }))
}

/** One of a list of words. */
export function OneOf(words: readonly string[]): Rule {
  return IsIn([...words], { message: `must be ${words.length === 1 ? words[0] : `one of: ${words.join(', ')}`}` })
}

/** Text of a bounded length. */
export function Text(min: number, max: number): Rule {
  const message = min > 0 ? `must be text of ${min} to ${max} characters` : `must be text of at most ${max} characters`
  return all(IsString({ message }), MinLength(min, { message }), MaxLength(max, { message }))
}

export function YesNo(): Rule {
  return IsBoolean({ message: 'must be true or false' })
}

/** A yarn's id: what parts refer to it by. */
export function YarnId(): Rule {
  const message = 'must be 1 to 24 small letters, digits or dashes'
  return all(IsString({ message }), Matches(/^[a-z0-9-]{1,24}$/, { message }))
}

export function HexColour(): Rule {
  const message = 'must be a colour such as #7d8f5b'
  return all(IsString({ message }), Matches(/^#[0-9a-f]{6}$/i, { message }))
}

/** An object that holds exactly one of two fields. */
export function EitherOr(a: string, b: string): Rule {
  return ValidateBy({
    name: 'eitherOr',
    validator: {
      validate: (holder: unknown) => typeof holder === 'object' && holder !== null
        && (((holder as Record<string, unknown>)[a] !== undefined) !== ((holder as Record<string, unknown>)[b] !== undefined)),
      defaultMessage: () => `must hold either "${a}" or "${b}"`,
    },
  })
}

/** A size is wanted or pinned, not both and not neither. */
export function WantedOrPinned(): Rule {
  return EitherOr('want', 'pin')
}

/** A disc is wanted by its diameter or by the width of the bag lying flat. */
export function OneWant(): Rule {
  return EitherOr('diameterCm', 'flatWidthCm')
}

const nested = { message: 'must be an object' }

/** An object of a document, checked by its own class. */
export function Part(type: () => new () => object, options?: TypeOptions): Rule {
  return (target, property) => {
    for (const rule of [IsDefined({ message: 'is missing' }), IsObject(nested), ValidateNested(nested), Type(type, options)]) rule(target, property as string)
  }
}
