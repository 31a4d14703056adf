import 'reflect-metadata'
import { Type, type TypeOptions } from 'class-transformer'
import {
  ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsDefined, IsIn, IsInt, IsNumber, IsObject, IsString, Matches, Max, MaxLength, Min,
  MinLength, ValidateBy, ValidateIf, ValidateNested,
} from 'class-validator'
import type { Bounds } from '../../parts/field/field'

/*
 * The rules a field of a document can have, each with one message that says what to change. Messages are read behind
 * the field's path: "base.size.want.diameterCm: must be a number from 1 to 150 (cm)".
 */

/** Lays rules on a property of a class. */
export type Rule = (target: object, property: string) => void

function all(...rules: PropertyDecorator[]): Rule {
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

/** Rules of another field, unless a word stands there. */
export function UnlessWord(word: string, rule: Rule): Rule {
  return (target, property) => {
    rule(target, property)
    ValidateIf((holder: object) => (holder as Record<string, unknown>)[property] !== word)(target, property)
  }
}

/** Checked only where it is there: left out, it is sound. What is there and is nothing (`null`) is not left out. */
export function IfGiven(): Rule {
  return (target, property) => ValidateIf((holder: object) => (holder as Record<string, unknown>)[property] !== undefined)(target, property)
}

/** One of a list of words, or of numbers. */
export function OneOf(values: readonly (string | number | boolean)[]): Rule {
  const told = values.every(value => typeof value === 'number') ? values.join(' or ') : `one of: ${values.join(', ')}`
  return all(IsIn([...values], { message: `must be ${values.length === 1 ? values[0] : told}` }))
}

/** One value and no other. */
export function Is(value: boolean): Rule {
  return all(IsIn([value], { message: `must be ${value}` }))
}

/** Text of a bounded length. */
export function Text(min: number, max: number): Rule {
  const message = min > 0 ? `must be text of ${min} to ${max} characters` : `must be text of at most ${max} characters`
  return all(IsString({ message }), MinLength(min, { message }), MaxLength(max, { message }))
}

/** Text of a certain look. */
export function Word({ source, flags, message }: { readonly source: string, readonly flags?: string, readonly message: string }): Rule {
  return all(IsString({ message }), Matches(new RegExp(source, flags), { message }))
}

/** Lines of text, at least one. */
export function Lines(most: number, longest: number): Rule {
  return all(
    IsArray({ message: 'must be a list of lines' }), ArrayMinSize(1, { message: 'must hold at least one line' }),
    ArrayMaxSize(most, { message: `must hold at most ${most} lines` }), IsString({ each: true, message: 'must be lines of text' }),
    MaxLength(longest, { each: true, message: `must be lines of at most ${longest} characters` }),
  )
}

export function YesNo(): Rule {
  return all(IsBoolean({ message: 'must be true or false' }))
}

/** An object that holds exactly one of two fields. */
export function EitherOr(a: string, b: string): Rule {
  return all(ValidateBy({
    name: 'eitherOr',
    validator: {
      validate: (holder: unknown) => typeof holder === 'object' && holder !== null
        && (((holder as Record<string, unknown>)[a] !== undefined) !== ((holder as Record<string, unknown>)[b] !== undefined)),
      defaultMessage: () => `must hold either "${a}" or "${b}"`,
    },
  }))
}

const nested = { message: 'must be an object' }

/** An object of a document, checked by its own class. */
export function Part(type: () => new () => object, options?: TypeOptions): Rule {
  return all(IsDefined({ message: 'is missing' }), IsObject(nested), ValidateNested(nested), Type(type, options))
}

export function List(what: string): Rule {
  return all(IsArray({ message: `must be a list of ${what}` }))
}

export function AtLeast(least: number, one: string): Rule {
  return least > 0 ? all(ArrayMinSize(least, { message: `must hold at least one ${one}` })) : () => {}
}

export function AtMost(most: number, what: string): Rule {
  return all(ArrayMaxSize(most, { message: `must hold at most ${most} ${what}` }))
}

/** A list of objects, each checked by its own class. */
export function ListOf(type: () => new () => object, options?: TypeOptions): Rule {
  return all(ValidateNested({ each: true, ...nested }), Type(type, options))
}
