import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, ValidateNested } from 'class-validator'
import { ROUND_STYLES } from '../round/style'
import { TURN_UPS } from '../wall/turnUp'
import { HOOK_MM, LEAN, MOST_BANDS, MOST_REPEATS, MOST_YARNS, STRANDS, SWATCH_CM, SWATCH_COUNT } from './bounds'
import { DESIGN_VERSION, HANDS } from './design'
import { Base, type BaseDocument } from './baseDocuments'
import { Held, MeasuredBaseDocument } from './contentsDocuments'
import { Between, HexColour, OneOf, Part, Text, Whole, YarnId, YesNo } from './rules'
import { StretchDocument } from './handleDocuments'
import { LiningDocument, MouthDocument, RepeatDocument, Wall } from './wallDocuments'
import type { WallDocument } from './wallPart'

/*
 * The open documents as class-validator sees them: one class an object, one rule a field. They exist to check what
 * comes from people and files; the program itself works with the plain types in design.ts. A default here is what a
 * document means when it leaves the field out.
 */

const nested = { message: 'must be an object' }

class MeasuredDocument {
  @Between(SWATCH_COUNT) stitches!: number
  @Between(SWATCH_COUNT) rounds!: number
  @Between(SWATCH_CM, 'cm') overCm!: number
  @IsOptional() @Between(SWATCH_CM, 'cm') tallCm?: number
}

class ChainDocument {
  @Between(SWATCH_COUNT) chains!: number
  @Between(SWATCH_CM, 'cm') overCm!: number
}

class MeasuredKindsDocument {
  @IsOptional() @Part(() => MeasuredDocument) sc?: MeasuredDocument
  @IsOptional() @Part(() => MeasuredDocument) hdc?: MeasuredDocument
  @IsOptional() @Part(() => MeasuredDocument) dc?: MeasuredDocument
  @IsOptional() @Part(() => MeasuredDocument) tr?: MeasuredDocument
}

export class GaugeDocument {
  @Between(HOOK_MM, 'mm') hookMm!: number
  @Whole(STRANDS) strands: number = 1
  @Part(() => MeasuredKindsDocument) measured!: MeasuredKindsDocument
  @IsOptional() @Part(() => ChainDocument) chain?: ChainDocument
  @IsOptional() @YesNo() assumed?: boolean
  @IsOptional() @OneOf(['turned', 'unturned']) worked?: string
}

class YarnDocument {
  @YarnId() id: string = 'main'
  @Text(1, 80) name: string = 'main yarn'
  @HexColour() colour: string = '#d9c8a5'
}

class RoundsDocument {
  @OneOf(ROUND_STYLES) style: string = 'joined'
  @YesNo() startingChainCounts: boolean = false
  @IsOptional() @Between(LEAN) leanPerTen?: number
}

/** A design as it is written to a file. */
export class DesignDocument {
  @OneOf(['design']) fairHollow!: string
  @Whole({ least: 1, most: DESIGN_VERSION }) version!: number
  @Text(1, 80) name!: string
  @Text(0, 4000) note: string = ''
  @OneOf(HANDS) hands: string = 'right'
  @OneOf(['cm', 'in']) units: string = 'cm'
  @Part(() => GaugeDocument) gauge!: GaugeDocument

  @IsArray({ message: 'must be a list of yarns' }) @ArrayMinSize(1, { message: 'must name at least one yarn' })
  @ArrayMaxSize(MOST_YARNS, { message: `must hold at most ${MOST_YARNS} yarns` }) @ValidateNested({ each: true, ...nested }) @Type(() => YarnDocument)
  yarns: YarnDocument[] = [new YarnDocument()]

  @Part(() => RoundsDocument) rounds: RoundsDocument = new RoundsDocument()
  @IsOptional() @Held() contents?: object
  @Base() base!: BaseDocument
  @IsOptional() @Part(() => MeasuredBaseDocument) measuredBase?: MeasuredBaseDocument
  @OneOf(TURN_UPS) turnUp: string = 'plain'

  @IsArray({ message: 'must be a list of bands' }) @ArrayMaxSize(MOST_BANDS, { message: `must hold at most ${MOST_BANDS} bands` })
  @Wall()
  wall: WallDocument[] = []

  @IsArray({ message: 'must be a list of repeats' }) @ArrayMaxSize(MOST_REPEATS, { message: `must hold at most ${MOST_REPEATS} repeats` })
  @ValidateNested({ each: true, ...nested }) @Type(() => RepeatDocument)
  repeats: RepeatDocument[] = []

  @IsOptional() @Part(() => MouthDocument) mouth?: MouthDocument
  @IsOptional() @YesNo() forChild?: boolean
  @IsOptional() @Part(() => StretchDocument) stretch?: StretchDocument
  @IsOptional() @Part(() => LiningDocument) lining?: LiningDocument
}

/** A swatch as it is written to a file. */
export class SwatchFile {
  @OneOf(['swatch']) fairHollow!: string
  @Whole({ least: 1, most: 1 }) version!: number
  @Text(1, 80) name!: string
  @Text(0, 4000) note: string = ''
  @Text(0, 120) yarn: string = ''
  @Part(() => GaugeDocument) gauge!: GaugeDocument
}
