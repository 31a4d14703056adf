/** A handle as it hangs on the bag, whatever it is made of. */
export interface Handle {
  readonly name: string
  /** How far round the rim its two feet stand, from 0 to 1 with the rounds: where the free part begins and ends. */
  readonly feet: readonly [number, number]
  /** Along the rim on one face; from side to side over the mouth; or around one side, from face to face. */
  readonly lies: 'along' | 'over' | 'around'
  /** Its free part, from foot to foot, along its lower edge. */
  readonly lengthCm: number
  /** How far apart the feet stand, the bag lying flat. */
  readonly gapCm: number
  readonly widthCm: number
  /** How many stitches, or rows of them, lie side by side across it and carry the load. */
  readonly strands: number
  /** How much of each end lies on the bag, below the rim. */
  readonly onBagCm?: number
  /** How far above the edge that its part stands on the feet are. */
  readonly aboveCm: number
  readonly colour: string
  /** Not worked by the maker: it does not give. */
  readonly bought?: boolean
  /** How it bears its load. */
  readonly bears: Bearing
}

/** How a handle bears its load, as far as that is not its size. */
interface Bearing {
  /** The sort of its strands. */
  readonly strands: 'stitches' | 'rows'
  /** A woven tape along its back takes the pull. */
  readonly taped?: true
  /** A long cord worn across the body. */
  readonly acrossBody?: true
}

/** The grip of a part that is placed on the bag's faces: its span on the front, and what lies beside it there. */
export interface Grip {
  /** How far round the rim its span begins and ends, with the rounds as seen from the right side. */
  readonly span: readonly [number, number]
  /** Stitches of the rim, of the span, and from the first side to the span and from the span to the other side. */
  readonly count: number
  readonly stitches: number
  readonly before: number
  readonly after: number
  /** 1 if moving it by a stitch more moves the front's span on with the rounds, -1 if back; 0 if its two ends move against each other. */
  readonly onward: 1 | -1 | 0
  /** How far it may be moved either way, in stitches. */
  readonly room: number
}
