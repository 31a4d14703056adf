import 'reflect-metadata'
import { IsIn, IsOptional } from 'class-validator'
import { HOLDS } from '../handle/hung'
import { REINFORCED } from '../handle/sewnStraps'
import { INTO } from '../handle/slotSpec'
import { STRAP_JOINS } from '../handle/grownStraps'
import { STRIP_STITCHES, STRIP_WAYS } from '../handle/strip'
import { CORD_KINDS } from '../mouth/cords'
import { BUTTON_CM, CORD_CM, CORNER_ROUNDS, DROP_CM, FACING_CM, FOOT, HANDLE_CHAINS, HANDLE_CM, HANDLE_ROUNDS, IN_CM, NUDGE, OVERLAP_CM, SIDE_AT, SLOT_CM, SLOT_STITCHES, STRAP_COUNT, STRAP_WIDE, STRIP_CM, STRIP_WIDE, TAB_CM, WEIGHT_KG } from './bounds'
import { Between, EitherOr, OneOf, Part, WantedOrPinned, Whole } from './rules'
import { WallDocument } from './wallPart'

/*
 * Handles and closures in the open design document, one class a kind; and the maker's stretched strip.
 */

/** One, or one on each face. */
function OneOrTwo(): PropertyDecorator {
  return IsIn([1, 2], { message: 'must be 1 or 2' })
}

/** What is placed on the rim says: moved from the middle, and where the sides are. */
class PlacedDocument extends WallDocument {
  @Whole(NUDGE) nudge: number = 0
  @IsOptional() @Whole(SIDE_AT) sideAt?: number
}

class WidthWant {
  @Between(SLOT_CM, 'cm') widthCm!: number
}

class StitchesPin {
  @Whole(SLOT_STITCHES) stitches!: number
}

class WidthSize {
  @IsOptional() @Part(() => WidthWant) want?: WidthWant
  @IsOptional() @Part(() => StitchesPin) pin?: StitchesPin
}

class HoleOrDrop {
  @IsOptional() @IsIn([true], { message: 'must be true' }) hole?: boolean
  @IsOptional() @Between(DROP_CM, 'cm') dropCm?: number
}

class HandleChainsPin {
  @Whole(HANDLE_CHAINS) chains!: number
}

class SlotChainsDocument {
  @IsOptional() @EitherOr('hole', 'dropCm') @Part(() => HoleOrDrop) want?: HoleOrDrop
  @IsOptional() @Part(() => HandleChainsPin) pin?: HandleChainsPin
}

export class SlotsDocument extends PlacedDocument {
  @OneOrTwo() number: number = 2
  @WantedOrPinned() @Part(() => WidthSize) width!: WidthSize
  @WantedOrPinned() @Part(() => SlotChainsDocument) chains!: SlotChainsDocument
  @OneOf(INTO) into: string = 'chains'
  @Whole(CORNER_ROUNDS) corners: number = 1
  @Whole(HANDLE_ROUNDS) rounds: number = 3
  @OneOf(STRIP_STITCHES) stitch: string = 'sc'
}

/* A class of its own, since the kind is written back by its class. */
export class ChainStrapsDocument extends SlotsDocument {}

class DropWant {
  @Between(DROP_CM, 'cm') dropCm!: number
}

class CountPin {
  @Whole(STRAP_COUNT) count!: number
}

class StrapLengthDocument {
  @IsOptional() @Part(() => DropWant) want?: DropWant
  @IsOptional() @Part(() => CountPin) pin?: CountPin
}

class StrapDocument extends PlacedDocument {
  @OneOf(STRIP_STITCHES) stitch: string = 'sc'
}

export class GrownStrapDocument extends StrapDocument {
  @Whole(FOOT) foot: number = 7
  @Whole(STRAP_WIDE) wide: number = 7
  @WantedOrPinned() @Part(() => StrapLengthDocument) length!: StrapLengthDocument
  @OneOf(STRAP_JOINS) join: string = 'sewn'
}

export class KnotStrapsDocument extends StrapDocument {
  @Whole(FOOT) foot: number = 7
  @Whole(STRAP_WIDE) wide: number = 7
  @WantedOrPinned() @Part(() => WidthSize) width!: WidthSize
  @WantedOrPinned() @Part(() => StrapLengthDocument) short!: StrapLengthDocument
  @WantedOrPinned() @Part(() => StrapLengthDocument) long!: StrapLengthDocument
  @OneOf(STRAP_JOINS) join: string = 'sewn'
}

class StripDocument extends StrapDocument {
  @OneOf(STRIP_WAYS) worked: string = 'along'
  @Whole(STRIP_WIDE) wide: number = 6
  @WantedOrPinned() @Part(() => StrapLengthDocument) length!: StrapLengthDocument
  @OneOrTwo() lines: number = 2
}

export class SewnStrapsDocument extends StripDocument {
  @OneOrTwo() number: number = 2
  @Between(IN_CM, 'cm') inCm: number = 5
  @Between(OVERLAP_CM, 'cm') overlapCm: number = 4
  @OneOf(REINFORCED) reinforced: string = 'none'
}

export class UnderStrapDocument extends StripDocument {}

class CordLengthPin {
  @Between(CORD_CM, 'cm') lengthCm!: number
}

class CrossBodyLength {
  @IsOptional() @Part(() => DropWant) want?: DropWant
  @IsOptional() @Part(() => CordLengthPin) pin?: CordLengthPin
}

export class CrossBodyDocument extends PlacedDocument {
  @OneOf(CORD_KINDS) cord: string = 'slip-stitched'
  @WantedOrPinned() @Part(() => CrossBodyLength) length!: CrossBodyLength
}

export class BoughtHandlesDocument extends PlacedDocument {
  @OneOrTwo() number: number = 2
  @OneOf(HOLDS) holds: string = 'rings'
  @Between(HANDLE_CM, 'cm') lengthCm!: number
  @Between(SLOT_CM, 'cm') apartCm!: number
  @Whole(STRIP_WIDE) foot: number = 3
}

export class ButtonLoopDocument extends WallDocument {
  @Between(BUTTON_CM, 'cm') buttonCm: number = 2.5
}

export class TabDocument extends WallDocument {
  @OneOf(STRIP_STITCHES) stitch: string = 'sc'
  @Whole(STRIP_WIDE) wide: number = 9
  @Between(TAB_CM, 'cm') lengthCm: number = 8
  @Between(BUTTON_CM, 'cm') buttonCm: number = 2.5
}

export class ZipDocument extends WallDocument {
  @OneOf(STRIP_STITCHES) stitch: string = 'sc'
  @Between(FACING_CM, 'cm') facingCm: number = 3
}

/** The maker's strip: how long it was, and how long with a weight on it. */
export class StretchDocument {
  @Between(STRIP_CM, 'cm') beforeCm!: number
  @Between(STRIP_CM, 'cm') afterCm!: number
  @Between(WEIGHT_KG, 'kg') kg!: number
  @Between(STRIP_CM, 'cm') widthCm!: number
}
