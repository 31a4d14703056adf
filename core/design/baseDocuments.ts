import 'reflect-metadata'
import { IsOptional, ValidateIf } from 'class-validator'
import { BASE_FORMS } from '../base/base'
import { BOUGHT_SHAPES } from '../base/bought'
import { BASE_STITCHES, CIRCLE_STARTS, INCREASE_ENDS, PLACINGS } from '../base/circle'
import { OVAL_STARTS } from '../base/oval'
import { CORNERS, ROW_ENDS } from '../base/rectangle'
import { BOAT_PER_END, DIAMETER_CM, DOUBLED_HOLES, EDGE_STITCHES, HEIGHT_CM, HOLES, INCREASES, PER_END, PER_HOLE, PINNED_ROUNDS, REPEAT, REPEATS, ROW_STITCHES, SIDE_STITCHES } from './bounds'
import { Between, OneOf, OneWant, Part, WantedOrPinned, Whole, YarnId } from './rules'

/*
 * The bases of the open design document, one class a form, told apart by their `form`.
 */

/** Across the floor, or across the bag lying flat: one of the two. */
class AcrossWant {
  @ValidateIf((want: AcrossWant) => want.flatWidthCm === undefined) @Between(DIAMETER_CM, 'cm') diameterCm?: number
  @ValidateIf((want: AcrossWant) => want.diameterCm === undefined) @Between(DIAMETER_CM, 'cm') flatWidthCm?: number
}

class FlatWidthWant {
  @Between(DIAMETER_CM, 'cm') flatWidthCm!: number
}

class LengthAndWidthWant {
  @Between(DIAMETER_CM, 'cm') lengthCm!: number
  @Between(DIAMETER_CM, 'cm') widthCm!: number
}

class WidthAndHeightWant {
  @Between(DIAMETER_CM, 'cm') widthCm!: number
  @Between(HEIGHT_CM, 'cm') heightCm!: number
}

class RoundsPin {
  @Whole(PINNED_ROUNDS) rounds!: number
}

class OvalPin {
  @Whole(SIDE_STITCHES) sideStitches!: number
  @Whole(PINNED_ROUNDS) rounds!: number
}

class SidePin {
  @Whole(SIDE_STITCHES) sideStitches!: number
}

class RectanglePin {
  @Whole(ROW_STITCHES) stitches!: number
  @Whole(PINNED_ROUNDS) rows!: number
}

class StitchesPin {
  @Whole(ROW_STITCHES) stitches!: number
}

class FoldedPin {
  @Whole(REPEATS) repeats!: number
  @Whole(PINNED_ROUNDS) rows!: number
}

class DiscSize {
  @IsOptional() @OneWant() @Part(() => AcrossWant) want?: AcrossWant
  @IsOptional() @Part(() => RoundsPin) pin?: RoundsPin
}

class OvalSize {
  @IsOptional() @Part(() => LengthAndWidthWant) want?: LengthAndWidthWant
  @IsOptional() @Part(() => OvalPin) pin?: OvalPin
}

class BoatSize {
  @IsOptional() @Part(() => FlatWidthWant) want?: FlatWidthWant
  @IsOptional() @Part(() => SidePin) pin?: SidePin
}

class RectangleSize {
  @IsOptional() @Part(() => LengthAndWidthWant) want?: LengthAndWidthWant
  @IsOptional() @Part(() => RectanglePin) pin?: RectanglePin
}

class TubeSize {
  @IsOptional() @Part(() => FlatWidthWant) want?: FlatWidthWant
  @IsOptional() @Part(() => StitchesPin) pin?: StitchesPin
}

class FoldedSize {
  @IsOptional() @Part(() => WidthAndHeightWant) want?: WidthAndHeightWant
  @IsOptional() @Part(() => FoldedPin) pin?: FoldedPin
}

/** What every base says. A form that no class knows is refused by this one. */
export class BaseDocument {
  @OneOf(BASE_FORMS) form!: string
  @OneOf(BASE_STITCHES) stitch: string = 'sc'
  @YarnId() colour: string = 'main'
}

class CircleDocument extends BaseDocument {
  @ValidateIf((base: CircleDocument) => base.increases !== 'by-gauge') @Whole(INCREASES) increases: number | string = 'by-gauge'
  @WantedOrPinned() @Part(() => DiscSize) size!: DiscSize
  @OneOf(CIRCLE_STARTS) start: string = 'ring'
  @OneOf(PLACINGS) placing: string = 'stacked'
  @OneOf(INCREASE_ENDS) increaseAt: string = 'last'
}

/** A class of its own, since the form is written back by its class. */
class DoubleDiscDocument extends CircleDocument {}

class OvalDocument extends BaseDocument {
  @ValidateIf((base: OvalDocument) => base.perEnd !== 'by-gauge') @Whole(PER_END) perEnd: number | string = 'by-gauge'
  @WantedOrPinned() @Part(() => OvalSize) size!: OvalSize
  @OneOf(OVAL_STARTS) start: string = 'chain'
  @OneOf(PLACINGS) placing: string = 'stacked'
  @OneOf(INCREASE_ENDS) increaseAt: string = 'last'
}

class BoatDocument extends BaseDocument {
  @Whole(BOAT_PER_END) perEnd: number = 3
  @WantedOrPinned() @Part(() => BoatSize) size!: BoatSize
}

class RectangleDocument extends BaseDocument {
  @WantedOrPinned() @Part(() => RectangleSize) size!: RectangleSize
  @OneOf(ROW_ENDS) rowEnds: string = 'one-each'
  @OneOf(CORNERS) corners: string = 'none'
}

class TubeDocument extends BaseDocument {
  @WantedOrPinned() @Part(() => TubeSize) size!: TubeSize
}

class BoughtDocument extends BaseDocument {
  @OneOf(BOUGHT_SHAPES) shape: string = 'oblong'
  @Whole(HOLES) holes!: number
  @Whole(PER_HOLE) perHole: number = 1
  @Whole(DOUBLED_HOLES) doubledHoles: number = 0
  @Between(DIAMETER_CM, 'cm') lengthCm!: number
  @Between(DIAMETER_CM, 'cm') widthCm!: number
}

class FoldedDocument extends BaseDocument {
  @Whole(REPEAT) repeat: number = 1
  @Whole(EDGE_STITCHES) edgeStitches: number = 0
  @WantedOrPinned() @Part(() => FoldedSize) size!: FoldedSize
}

/** The base of a design: checked by the class of its form. */
export function Base(): PropertyDecorator {
  return Part(() => BaseDocument, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'form',
      subTypes: [
        { name: 'circle', value: CircleDocument }, { name: 'double-disc', value: DoubleDiscDocument }, { name: 'oval', value: OvalDocument },
        { name: 'boat', value: BoatDocument }, { name: 'rectangle', value: RectangleDocument }, { name: 'tube', value: TubeDocument },
        { name: 'bought', value: BoughtDocument }, { name: 'folded', value: FoldedDocument },
      ],
    },
  })
}
