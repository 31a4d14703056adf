import { WALL_KINDS } from '../wall/wall'
import { OneOf, YarnId } from './rules'

/** What every part of a wall says. A kind that no class knows is refused by this one. */
export class WallDocument {
  @OneOf(WALL_KINDS) band!: string
  @YarnId() colour: string = 'main'
}
