import type { FabricKind } from '../../things/stitch/dictionary'
import type {
  AlwaysField,
  Bounds,
  ChoiceField,
  CountField,
  Field,
  Fields,
  FigureField,
  GroupField,
  KindsField,
  LengthField,
  ListField,
  MaybeField,
  More,
  Option,
  RepeatField,
  StitchField,
  TextField,
  Label,
  Way,
  WaysField,
  YarnField,
} from './field'
import type { QuestionContext } from './context'
import type { ValuesOf } from './spec'

/** From the least to the most of a number. */
export function between(least: number, most: number): Bounds {
  return { least, most }
}

/** Asks for a whole number. */
export function count<const M extends More<number> & Pick<CountField, 'suffix' | 'taught' | 'sum'>>(
  label: Label,
  bounds: Bounds,
  more?: M,
): CountField & M {
  return { is: 'count', label, bounds, ...more } as CountField & M
}

/** Asks for a whole number, or takes a word in its place. */
export function countOr<const O extends string>(
  or: O,
  label: Label,
  bounds: Bounds,
  more?: Omit<More<number>, 'begins'> & Pick<CountField, 'orDoes' | 'taught'>,
): CountField & { readonly or: O } {
  return { is: 'count', label, bounds, or, begins: or, ...more }
}

/** Asks for a number with parts. */
export function figure<const M extends More<number>>(label: Label, bounds: Bounds, unit: string, more?: M): FigureField & M {
  return { is: 'figure', label, bounds, unit, ...more } as FigureField & M
}

/** Asks for a length. */
export function length<const M extends More<number> & Pick<LengthField, 'picks' | 'along'>>(
  label: Label,
  bounds: Bounds,
  more?: M,
): LengthField & M {
  return { is: 'length', label, bounds, ...more } as LengthField & M
}

/** Asks for one of a few. */
export function choice<const V extends string | number | boolean>(
  label: Label,
  options: readonly Option<V>[],
  more?: More<NoInfer<V>>,
): ChoiceField<V> {
  return { is: 'choice', label, options, ...more }
}

/** Asks for a stitch. */
export function stitch<const K extends FabricKind>(
  kinds: readonly K[],
  more?: More<NoInfer<K>> & { readonly label?: Label },
): StitchField<K> {
  return { is: 'stitch', label: 'Stitch', kinds, begins: kinds[0]!, ...more }
}

/** Asks for a yarn of the bag. */
export function yarn(more?: More<string> & { readonly label?: Label }): YarnField {
  return { is: 'yarn', label: 'Yarn', begins: 'main', ...more }
}

/** Asks for a stitch pattern of the maker's own. */
export function ownRepeat(more?: More<string>): RepeatField {
  return { is: 'repeat', label: 'The repeat', ...more }
}

/** A mark with one value. */
export function always<const V extends boolean>(value: V, label: string): AlwaysField<V> {
  return { is: 'always', label, value }
}

/** Leaves it to the document whether a question is answered at all. */
export function optional<F extends Field>(field: F): F & { readonly optional: true } {
  return { ...field, optional: true }
}

interface WayMore<F extends Fields, S extends object> {
  readonly does?: Label
  from(spec: S, now: QuestionContext): ValuesOf<F>
  sets?(spec: S, now: QuestionContext): object
}

/** To want something in centimetres: the count is found. */
export function want<const F extends Fields, S extends object = never>(name: Label, fields: F, more: WayMore<F, S>): Way<'want', F> {
  return { under: 'want', name, fields, ...more }
}

/** To pin a count: the size is told. */
export function pin<const F extends Fields, S extends object = never>(name: Label, fields: F, more: WayMore<F, S>): Way<'pin', F> {
  return { under: 'pin', name, fields, ...more }
}

/** Asks which way something is decided, and what that way asks. */
export function ways<const W extends readonly Way[]>(
  label: Label,
  of: W,
  more?: Partial<Omit<WaysField, 'is' | 'label' | 'ways'>>,
): WaysField<W> {
  return { is: 'ways', label, ways: of, ...more } as WaysField<W>
}

/** Asks for a group of questions, if the maker wants it. */
export function maybe<const F extends Fields>(
  label: Label,
  fields: F,
  more: Pick<MaybeField, 'without' | 'having' | 'lead' | 'usuallyNot' | 'says'> & {
    readonly begin: ValuesOf<F> | ((spec: never, now: QuestionContext) => ValuesOf<F>)
  },
): MaybeField<F> {
  const { begin } = more
  return {
    is: 'maybe', optional: true, label, fields, ...more,
    begin: typeof begin === 'function' ? (begin as MaybeField['begin']) : () => begin,
  }
}

/** Asks the same over and over. */
export function list<const F extends Fields>(label: Label, of: F, more: Omit<ListField, 'is' | 'label' | 'of'>): ListField<F> {
  return { is: 'list', label, of, ...more }
}

/** Asks what belongs together. */
export function group<const F extends Fields>(label: Label, fields: F, more?: Partial<GroupField>): GroupField<F> {
  return { is: 'group', label, fields, ...more } as GroupField<F>
}

/** Asks for text of so many characters. */
export function text<T extends string = string>(label: Label, least: number, most: number, more?: Partial<TextField<T>>): TextField<T> {
  return { is: 'text', label, least, most, ...more }
}

/** Text of small letters, digits and dashes: what other things are referred to by. */
export function idText(label: Label, more?: Partial<TextField>): TextField {
  return text(label, 1, 24, { pattern: { source: ID, message: 'must be 1 to 24 small letters, digits or dashes' }, ...more })
}

/** Form of ids. */
export const ID = '^[a-z0-9-]{1,24}$'

/** Asks for something of one of several kinds. */
export function oneOfKinds<T = unknown>(
  label: Label,
  by: string,
  kinds: KindsField['kinds'],
  more?: Partial<KindsField<T>>,
): KindsField<T> {
  return { is: 'kinds', label, by, kinds, ...more }
}
