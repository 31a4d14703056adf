import 'reflect-metadata'
import { IsOptional } from 'class-validator'
import { CONTENT_KINDS } from '../contents/contents'
import { BALLS, CONTENT_CM, MEASURED_ROUNDS, MEASURED_STITCHES, WEIGHT_KG } from './bounds'
import { Between, OneOf, Part, Whole } from './rules'

/*
 * What a bag must hold, in the open design document, one class a kind; and what its finished base measured.
 */

class ContentsDocument {
  @OneOf(CONTENT_KINDS) kind!: string
  @IsOptional() @Between(WEIGHT_KG, 'kg') weightKg?: number
}

class BoxDocument extends ContentsDocument {
  @Between(CONTENT_CM, 'cm') lengthCm!: number
  @Between(CONTENT_CM, 'cm') widthCm!: number
  @Between(CONTENT_CM, 'cm') heightCm!: number
}

/** A class of its own, since the kind is written back by its class. */
class ClothDocument extends BoxDocument {}

class BottleDocument extends ContentsDocument {
  @Between(CONTENT_CM, 'cm') acrossCm!: number
  @Between(CONTENT_CM, 'cm') heightCm!: number
}

class BallsDocument extends ContentsDocument {
  @Whole(BALLS) count!: number
  @Between(CONTENT_CM, 'cm') acrossCm!: number
}

export class MeasuredBaseDocument {
  @Between(CONTENT_CM, 'cm') lengthCm!: number
  @IsOptional() @Between(CONTENT_CM, 'cm') widthCm?: number
  @Whole(MEASURED_ROUNDS) rounds!: number
  @Whole(MEASURED_STITCHES) stitches!: number
}

/** The contents of a design: checked by the class of their kind. */
export function Held(): PropertyDecorator {
  return Part(() => ContentsDocument, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: [
        { name: 'box', value: BoxDocument }, { name: 'cloth', value: ClothDocument },
        { name: 'bottle', value: BottleDocument }, { name: 'balls', value: BallsDocument },
      ],
    },
  })
}
