import type { CardId } from '../../things/entry/cards'
import type { FabricKind } from '../../things/stitch/dictionary'
import type { QuestionContext } from './context'

/*
 * Questions about a part, each said once: how it is asked, what it may be, and what a document means that leaves it out.
 * The validated classes, the JSON Schema, the tables of the formats, the page's fields and the random designs of the tests are
 * all made from it (core/bag/design, app, tests/arbitraries).
 */

/** Least and most of a number: files, requests and the page's fields all keep to these. */
export interface Bounds {
  readonly least: number
  readonly most: number
}

/** Words of a question: always the same, or by what the spec says and what the part came to. Stitches and lengths in curly brackets. */
export type Label = string | { of(spec: object, now: QuestionContext): string }

/** Words that depend on the spec and on what the part came to. */
export function labelFrom<S extends object>(of: (spec: S, now: QuestionContext) => string): Label {
  return { of: (spec, now) => of(spec as S, now) }
}

/** Properties of a question of any sort. */
interface FieldBase {
  readonly label: Label
  /** Description for the schema and the tables, where the label does not say enough. */
  readonly says?: string
  /** Explanation of a word of the craft in its label, told behind a `?`. */
  readonly why?: string
  /** How that is worked: a card with a drawing, behind the same `?`. */
  readonly card?: CardId
  /** Where a question only makes sense with certain answers to others. */
  when?(spec: object): boolean
  /** Stands in one row with its neighbours that say so too. */
  readonly beside?: true
  /** Whether it is asked by a tool of the kind's own, or found by the program: no field of its own in the page. */
  readonly unasked?: true
}

/** Further things a question can say. */
export type More<D> = Partial<Omit<FieldBase, 'label'>> & {
  /** Value that a document means that leaves it out, and that a new part begins with; without it the document has to say. */
  readonly begins?: D
  /** From where to where makers usually answer: random designs keep within it. */
  readonly usually?: Bounds
}

/** A whole number. */
export interface CountField<N extends number = number> extends FieldBase {
  readonly is: 'count'
  /** Type of its value where that is narrower than its bounds say, for the types alone. */
  readonly holds?: N
  readonly bounds: Bounds
  readonly begins?: number | string
  readonly usually?: Bounds
  /** Unit of the count, said behind the figure: `sts`. */
  readonly suffix?: string
  /** A sum of money, in hundredths: asked and shown in whole ones. */
  readonly sum?: true
  /** A word that may stand in the place of the number: `by-gauge`; what it does, and numbers that makers teach besides. */
  readonly or?: string
  readonly orDoes?: Label
  readonly taught?: readonly Option<number>[]
}

/** A number with parts: kilograms, stitches in ten rounds. */
export interface FigureField extends FieldBase {
  readonly is: 'figure'
  readonly bounds: Bounds
  readonly unit: string
  readonly begins?: number
  readonly usually?: Bounds
}

/** A length, kept in centimetres and asked in the maker's units. */
export interface LengthField extends FieldBase {
  readonly is: 'length'
  readonly bounds: Bounds
  readonly begins?: number
  readonly usually?: Bounds
  /** Further changes within its group. */
  along?(cm: number, group: object): object
  /** Lengths that are usual for it, to pick from. */
  readonly picks?: readonly { readonly name: string, readonly cm: number }[]
}

/** One of the answers to choose from. */
export interface Option<V extends string | number | boolean = string | number | boolean> {
  readonly value: V
  readonly name: Label
  readonly does?: Label
  /** How it is worked: a card with a drawing. */
  readonly card?: CardId
}

/** One of a few answers. */
export interface ChoiceField<V extends string | number | boolean = string | number | boolean> extends FieldBase {
  readonly is: 'choice'
  readonly options: readonly Option<V>[]
  readonly begins?: V
}

/** One of a few stitches, by their names in the maker's vocabulary. */
export interface StitchField<K extends FabricKind = FabricKind> extends FieldBase {
  readonly is: 'stitch'
  readonly kinds: readonly K[]
  readonly begins?: K
}

/** A yarn of the bag, by its id. */
export interface YarnField extends FieldBase {
  readonly is: 'yarn'
  readonly begins: string
}

/** A stitch pattern of the maker's own, by its id. */
export interface RepeatField extends FieldBase {
  readonly is: 'repeat'
}

/** A mark that has only one value: it says which of several ways is meant. */
export interface AlwaysField<V extends boolean = boolean> extends FieldBase {
  readonly is: 'always'
  readonly value: V
}

/** Questions by the names that their answers have in the document. */
export type Fields = Readonly<Record<string, Field>>

/** One way to decide something: wanted in centimetres, or pinned as a count. */
export interface Way<U extends 'want' | 'pin' = 'want' | 'pin', F extends Fields = Fields> {
  readonly under: U
  readonly name: Label
  readonly does?: Label
  readonly fields: F
  /** The answers that this way begins with, by what the part came to. */
  from(spec: object, now: QuestionContext): object
  /** Further changes in the spec. */
  sets?(spec: object, now: QuestionContext): object
}

/** Something that can be decided in several ways, of which the document keeps one. */
export interface WaysField<W extends readonly Way[] = readonly Way[]> extends FieldBase {
  readonly is: 'ways'
  readonly ways: W
  /** How it is called to decide nothing, where the document may leave it out. */
  readonly none?: { readonly name: string }
}

/** A group of questions that only some bags need; left out of the document where they do not. */
export interface MaybeField<F extends Fields = Fields> extends FieldBase {
  readonly is: 'maybe'
  readonly optional: true
  readonly fields: F
  readonly without: { readonly name: string, readonly does?: string }
  readonly having: { readonly name: string, readonly does?: string }
  /** A choice within that is asked together with having it at all. */
  readonly lead?: string
  /** Most do without: having none of it is then the first answer, not the last. */
  readonly usuallyNot?: true
  begin(spec: object, now: QuestionContext): object
}

/** A list of the same questions over and over. */
export interface ListField<F extends Fields = Fields> extends FieldBase {
  readonly is: 'list'
  readonly of: F
  /** Name of one of them, and of all: for messages. */
  readonly one: string
  readonly all: string
  readonly least: number
  readonly most: number
  /** A document that leaves it out means one with everything as it begins, or none. */
  readonly begins?: 'one' | 'none'
  /** How a further one begins, by what is asked about; as its questions begin if left out. */
  readonly further?: (spec: never) => object
}

/** Questions that belong together, always there. */
export interface GroupField<F extends Fields = Fields> extends FieldBase {
  readonly is: 'group'
  readonly fields: F
  /** So many at least of what may be left out have to be there. */
  readonly least?: number
  /** A document that leaves it out means everything in it as it begins. */
  readonly begins?: 'as-fields-do'
}

/** Text, or a word of a certain pattern. */
export interface TextField<T extends string = string> extends FieldBase {
  readonly is: 'text'
  /** Type of its value where that is narrower than any text, for the types alone. */
  readonly holds?: T
  readonly least: number
  readonly most: number
  /** Form of the text, and the message if it has another. */
  readonly pattern?: { readonly source: string, readonly flags?: string, readonly message: string }
  readonly begins?: string
  /** How it is asked for, if not as a word or two. */
  readonly as?: 'day' | 'time' | 'notes'
}

/** Lines of text. */
export interface LinesField extends FieldBase {
  readonly is: 'lines'
  readonly most: number
  readonly longest: number
}

/** Things of several kinds, told apart by a word: bases by their form, parts by their band. */
export interface KindsField<T = unknown> extends FieldBase {
  readonly is: 'kinds'
  /** The field that tells them apart. */
  readonly by: string
  readonly kinds: readonly { readonly value: string, readonly fields: Fields, readonly name?: string, readonly does?: string }[]
  /** One, or a list of so many at most, called so, and at least one if `least` says so; and how a new one of a kind begins by another. */
  readonly list?: {
    readonly all: string
    readonly most: number
    readonly least?: number
    /** They are worked to and fro, not round. */
    readonly inRows?: true
    begin?(kind: string, like: object | undefined, spec: object): object
  }
  /** Type of its value in a document, for the types alone. */
  readonly holds?: T
}

/** A question of any sort. `optional`: the document may leave it out, and then it is not there. */
export type Field = (
  | CountField | FigureField | LengthField | ChoiceField | StitchField | YarnField | RepeatField | AlwaysField | WaysField | MaybeField
  | ListField | GroupField | TextField | LinesField | KindsField
) & { readonly optional?: true }
