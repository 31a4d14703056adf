import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsOptional, IsString, MaxLength, ValidateIf, ValidateNested } from 'class-validator'
import { RIB_STITCHES, SOLID_STITCHES } from '../wall/band'
import { LOOP_ENDS } from '../mesh/loops'
import { CORD_KINDS } from '../mouth/cords'
import { RIMS, RUFFLE_STITCHES } from '../mouth/edging'
import { EYELET_KINDS } from '../mouth/eyelets'
import { AROUND_CM, BOX_CHAINS, CHANGE, CORD_CM, DIAMETER_CM, FAN_ROWS, FAN_STITCHES, FANS_BETWEEN, FANS_EVERY, HEIGHT_CM, IN_LOOP, IN_STITCH, LOOP_CHAINS, LOOP_SKIP, MOST_REPEAT_LINES, MOST_STRIPES, MOUTH_DIVIDES, PINNED_ROUNDS, RIB, PICOT_BETWEEN, PICOT_CHAINS, RUFFLE_EACH, RUFFLE_EVERY, SEAM_CM, SHELL_STITCHES, SLIT_BETWEEN, SLIT_CHAINS, STRIPE_ROUNDS, TAIL_CM, WALL_STITCHES } from './bounds'
import { BoughtHandlesDocument, ButtonLoopDocument, ChainStrapsDocument, CrossBodyDocument, GrownStrapDocument, KnotStrapsDocument, SewnStrapsDocument, SlotsDocument, TabDocument, UnderStrapDocument, ZipDocument } from './handleDocuments'
import { Between, EitherOr, OneOf, Part, Text, Whole, WantedOrPinned, YarnId, YesNo } from './rules'
import { WallDocument } from './wallPart'

/*
 * The wall of the open design document, one class a kind of part, told apart by its `band`; and the maker's own repeats.
 */

const nested = { message: 'must be an object' }

class RoundsPin {
  @Whole(PINNED_ROUNDS) rounds!: number
}

class HeightWant {
  @Between(HEIGHT_CM, 'cm') heightCm!: number
}

class HeightSize {
  @IsOptional() @Part(() => HeightWant) want?: HeightWant
  @IsOptional() @Part(() => RoundsPin) pin?: RoundsPin
}

class TaperWant {
  @Between(HEIGHT_CM, 'cm') heightCm!: number
  @Between(AROUND_CM, 'cm') aroundCm!: number
}

class TaperPin {
  @Whole(PINNED_ROUNDS) rounds!: number
  @Whole(WALL_STITCHES) stitches!: number
}

class TaperSize {
  @IsOptional() @Part(() => TaperWant) want?: TaperWant
  @IsOptional() @Part(() => TaperPin) pin?: TaperPin
}

class DividesWant {
  @IsIn([true], { message: 'must be true' }) divides!: boolean
}

class AdjustPin {
  @ValidateIf((pin: AdjustPin) => pin.change === undefined) @Whole(WALL_STITCHES) stitches?: number
  @ValidateIf((pin: AdjustPin) => pin.stitches === undefined) @Whole(CHANGE) change?: number
}

class AdjustTo {
  @IsOptional() @Part(() => DividesWant) want?: DividesWant
  @IsOptional() @EitherOr('stitches', 'change') @Part(() => AdjustPin) pin?: AdjustPin
}

class StripeDocument {
  @YarnId() colour!: string
  @Whole(STRIPE_ROUNDS) rounds!: number
}

/** What bands and tapers say besides: one yarn or several by turns. */
class StripedDocument extends WallDocument {
  @IsOptional() @IsArray({ message: 'must be a list of stripes' }) @ArrayMinSize(1, { message: 'must hold at least one stripe; leave it out for one yarn' })
  @ArrayMaxSize(MOST_STRIPES, { message: `must hold at most ${MOST_STRIPES} stripes` }) @ValidateNested({ each: true, ...nested }) @Type(() => StripeDocument)
  stripes?: StripeDocument[]
}

class BandDocument extends StripedDocument {
  @WantedOrPinned() @Part(() => HeightSize) size!: HeightSize
}

class SolidDocument extends BandDocument {
  @OneOf(SOLID_STITCHES) stitch: string = 'sc'
}

/* A class of its own for each kind, since the kind is written back by its class. */
class RidgesDocument extends SolidDocument {}
class PairsDocument extends BandDocument {}
class GroupsDocument extends BandDocument {}
class VeesDocument extends BandDocument {}
class WavesDocument extends BandDocument {}
class MossDocument extends BandDocument {}

class RibDocument extends BandDocument {
  @OneOf(RIB_STITCHES) stitch: string = 'hdc'
  @Whole(RIB) front: number = 1
  @Whole(RIB) back: number = 1
}

class SprigsDocument extends BandDocument {
  @YesNo() seamStitch: boolean = false
}

class BoxesDocument extends BandDocument {
  @Whole(BOX_CHAINS) chains: number = 1
  @YesNo() finish: boolean = false
}

class FlatWidthWant {
  @Between(DIAMETER_CM, 'cm') flatWidthCm!: number
}

class MouthWant {
  @Between(AROUND_CM, 'cm') mouthCm!: number
}

class ChainsPin {
  @Whole(LOOP_CHAINS) chains!: number
}

class HoldSize {
  @IsOptional() @Part(() => FlatWidthWant) want?: FlatWidthWant
  @IsOptional() @Part(() => ChainsPin) pin?: ChainsPin
}

class LastSize {
  @IsOptional() @Part(() => MouthWant) want?: MouthWant
  @IsOptional() @Part(() => ChainsPin) pin?: ChainsPin
}

class MotifDocument {
  @Whole(FANS_BETWEEN) between: number = 3
  @Whole(FAN_STITCHES) stitches: number = 4
  @Whole(FAN_ROWS) rows: number = 3
  @Whole(FANS_EVERY) every: number = 4
}

class FinishDocument {
  @Whole(IN_LOOP) inLoop: number = 4
  @Whole(IN_STITCH) inStitch: number = 1
}

class LoopsDocument extends WallDocument {
  @Whole(LOOP_SKIP) skip: number = 1
  @Whole(LOOP_CHAINS) first: number = 3
  @WantedOrPinned() @Part(() => HoldSize) hold!: HoldSize
  @IsOptional() @WantedOrPinned() @Part(() => LastSize) last?: LastSize
  @WantedOrPinned() @Part(() => HeightSize) size!: HeightSize
  @OneOf(LOOP_ENDS) ends: string = 'closed'
  @IsOptional() @Part(() => MotifDocument) motif?: MotifDocument
  @IsOptional() @Part(() => FinishDocument) finish?: FinishDocument
}

class TailWant {
  @Between(TAIL_CM, 'cm') tailCm!: number
}

class LengthPin {
  @Between(CORD_CM, 'cm') lengthCm!: number
}

class CordSize {
  @IsOptional() @Part(() => TailWant) want?: TailWant
  @IsOptional() @Part(() => LengthPin) pin?: LengthPin
}

class CordsDocument {
  @IsIn([1, 2], { message: 'must be 1 or 2' }) number: number = 2
  @OneOf(CORD_KINDS) kind: string = 'chain'
  @WantedOrPinned() @Part(() => CordSize) size!: CordSize
  @YesNo() opening: boolean = false
  @YarnId() colour: string = 'main'
}

class EyeletsDocument extends WallDocument {
  @OneOf(EYELET_KINDS) eyelets: string = 'boxes'
  @Whole(SLIT_BETWEEN) between: number = 4
  @Whole(SLIT_CHAINS) chains: number = 2
  @YesNo() evenOut: boolean = false
  @IsOptional() @Part(() => CordsDocument) cords?: CordsDocument
}

class RuffleDocument extends WallDocument {
  @OneOf(RUFFLE_STITCHES) stitch: string = 'sc'
  @Whole(RUFFLE_EACH) inEach: number = 3
  @Whole(RUFFLE_EVERY) every: number = 3
}

class PicotsDocument extends WallDocument {
  @Whole(PICOT_CHAINS) chains: number = 3
  @Whole(PICOT_BETWEEN) between: number = 1
}

class ShellsDocument extends WallDocument {
  @Whole(SHELL_STITCHES) stitches: number = 4
}

class RimDocument extends WallDocument {
  @OneOf(RIMS) rim: string = 'slip'
}

class OwnDocument extends BandDocument {
  @YarnId() repeat!: string
}

class AdjustDocument extends WallDocument {
  @OneOf(SOLID_STITCHES) stitch: string = 'sc'
  @WantedOrPinned() @Part(() => AdjustTo) to!: AdjustTo
  @YesNo() mirrored: boolean = false
  @IsOptional() @YesNo() counted?: boolean
}

class TaperDocument extends StripedDocument {
  @OneOf(SOLID_STITCHES) stitch: string = 'sc'
  @WantedOrPinned() @Part(() => TaperSize) size!: TaperSize
  @YesNo() mirrored: boolean = false
}

/** The wall of a design: each part checked by the class of its kind. */
export function Wall(): PropertyDecorator {
  const options = {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'band',
      subTypes: [
        { name: 'solid', value: SolidDocument }, { name: 'ridges', value: RidgesDocument }, { name: 'rib', value: RibDocument }, { name: 'pairs', value: PairsDocument },
        { name: 'groups', value: GroupsDocument }, { name: 'vees', value: VeesDocument }, { name: 'sprigs', value: SprigsDocument }, { name: 'waves', value: WavesDocument },
        { name: 'boxes', value: BoxesDocument }, { name: 'moss', value: MossDocument }, { name: 'own', value: OwnDocument }, { name: 'loops', value: LoopsDocument },
        { name: 'eyelets', value: EyeletsDocument }, { name: 'ruffle', value: RuffleDocument }, { name: 'picots', value: PicotsDocument }, { name: 'shells', value: ShellsDocument }, { name: 'rim', value: RimDocument },
        { name: 'slots', value: SlotsDocument }, { name: 'chain-straps', value: ChainStrapsDocument }, { name: 'grown-strap', value: GrownStrapDocument }, { name: 'knot-straps', value: KnotStrapsDocument },
        { name: 'sewn-straps', value: SewnStrapsDocument }, { name: 'under-strap', value: UnderStrapDocument }, { name: 'cross-body', value: CrossBodyDocument }, { name: 'bought-handles', value: BoughtHandlesDocument },
        { name: 'button-loop', value: ButtonLoopDocument }, { name: 'tab', value: TabDocument }, { name: 'zip', value: ZipDocument },
        { name: 'adjust', value: AdjustDocument }, { name: 'taper', value: TaperDocument },
      ],
    },
  }
  return (target, property) => {
    ValidateNested({ each: true, ...nested })(target, property as string)
    Type(() => WallDocument, options)(target, property as string)
  }
}

/** A repeat of a maker's own. */
export class RepeatDocument {
  @YarnId() id!: string
  @Text(1, 80) name!: string

  @IsArray({ message: 'must be a list of lines' }) @ArrayMinSize(1, { message: 'must hold at least one line' })
  @ArrayMaxSize(MOST_REPEAT_LINES, { message: `must hold at most ${MOST_REPEAT_LINES} lines` })
  @IsString({ each: true, message: 'must be lines of text' }) @MaxLength(300, { each: true, message: 'must be lines of at most 300 characters' })
  lines!: string[]
}

/** A lining: what its pieces get all round for their seams. */
export class LiningDocument {
  @Between(SEAM_CM, 'cm') seamCm: number = 1.5
}

/** What the mouth's count must divide by, for what is to be worked on it. */
export class MouthDocument {
  @Whole(MOUTH_DIVIDES) divides!: number
}
