/** Least and most of a number in a document: files, requests and the page's fields all keep to these. */
export interface Bounds {
  readonly least: number
  readonly most: number
}

export const HOOK_MM: Bounds = { least: 0.5, most: 40 }
export const STRANDS: Bounds = { least: 1, most: 12 }
export const SWATCH_COUNT: Bounds = { least: 1, most: 1000 }
export const SWATCH_CM: Bounds = { least: 1, most: 200 }
export const DIAMETER_CM: Bounds = { least: 1, most: 150 }
export const HEIGHT_CM: Bounds = { least: 0.2, most: 200 }
export const INCREASES: Bounds = { least: 3, most: 48 }
export const PINNED_ROUNDS: Bounds = { least: 1, most: 1000 }
/** Stitches narrower or wider than this are a slip of the pen, whatever the yarn (from memory). */
export const STITCH_CM: Bounds = { least: 0.05, most: 12 }
export const PER_END: Bounds = { least: 2, most: 24 }
export const BOAT_PER_END: Bounds = { least: 1, most: 8 }
export const SIDE_STITCHES: Bounds = { least: 1, most: 600 }
export const ROW_STITCHES: Bounds = { least: 2, most: 1200 }
export const HOLES: Bounds = { least: 4, most: 400 }
export const PER_HOLE: Bounds = { least: 1, most: 6 }
export const DOUBLED_HOLES: Bounds = { least: 0, most: 100 }
export const REPEAT: Bounds = { least: 1, most: 60 }
export const EDGE_STITCHES: Bounds = { least: -20, most: 40 }
export const REPEATS: Bounds = { least: 1, most: 600 }
export const CONTENT_CM: Bounds = { least: 0.5, most: 150 }
/** Two discs of a thousand rounds and the one that joins them. */
export const MEASURED_ROUNDS: Bounds = { least: 1, most: 2001 }
export const MEASURED_STITCHES: Bounds = { least: 1, most: 200_000 }
export const BALLS: Bounds = { least: 1, most: 200 }
export const AROUND_CM: Bounds = { least: 2, most: 400 }
export const WALL_STITCHES: Bounds = { least: 3, most: 2000 }
export const CHANGE: Bounds = { least: -1000, most: 1000 }
export const RIB: Bounds = { least: 1, most: 12 }
export const STRIPE_ROUNDS: Bounds = { least: 1, most: 200 }
export const MOUTH_DIVIDES: Bounds = { least: 1, most: 60 }
/** Stitches that a seam leans over ten rounds, the way the rounds are worked; below 0 the other way. */
export const LEAN: Bounds = { least: -20, most: 20 }
export const BOX_CHAINS: Bounds = { least: 1, most: 12 }
export const LOOP_CHAINS: Bounds = { least: 2, most: 60 }
export const LOOP_SKIP: Bounds = { least: 0, most: 12 }
export const IN_LOOP: Bounds = { least: 1, most: 40 }
export const IN_STITCH: Bounds = { least: 0, most: 4 }
export const FANS_BETWEEN: Bounds = { least: 1, most: 40 }
export const FAN_STITCHES: Bounds = { least: 2, most: 20 }
export const FAN_ROWS: Bounds = { least: 1, most: 9 }
export const FANS_EVERY: Bounds = { least: 1, most: 40 }
export const SLIT_BETWEEN: Bounds = { least: 1, most: 40 }
export const SLIT_CHAINS: Bounds = { least: 1, most: 12 }
export const TAIL_CM: Bounds = { least: 2, most: 100 }
export const CORD_CM: Bounds = { least: 10, most: 400 }
export const RUFFLE_EACH: Bounds = { least: 1, most: 8 }
export const RUFFLE_EVERY: Bounds = { least: 0, most: 12 }
export const PICOT_CHAINS: Bounds = { least: 2, most: 12 }
export const PICOT_BETWEEN: Bounds = { least: 1, most: 20 }
export const SHELL_STITCHES: Bounds = { least: 3, most: 9 }
export const SEAM_CM: Bounds = { least: 0.5, most: 5 }
export const SLOT_CM: Bounds = { least: 1, most: 100 }
export const SLOT_STITCHES: Bounds = { least: 1, most: 600 }
export const HANDLE_CHAINS: Bounds = { least: 1, most: 600 }
export const HANDLE_ROUNDS: Bounds = { least: 1, most: 60 }
export const CORNER_ROUNDS: Bounds = { least: 0, most: 12 }
export const DROP_CM: Bounds = { least: 1, most: 120 }
/** Stitches that handles are moved on from where they are centred. */
export const NUDGE: Bounds = { least: -500, most: 500 }
export const SIDE_AT: Bounds = { least: 0, most: 2000 }
export const FOOT: Bounds = { least: 2, most: 60 }
export const STRAP_WIDE: Bounds = { least: 2, most: 60 }
export const STRIP_WIDE: Bounds = { least: 1, most: 60 }
export const STRAP_COUNT: Bounds = { least: 1, most: 1000 }
export const IN_CM: Bounds = { least: 0, most: 100 }
export const OVERLAP_CM: Bounds = { least: 0, most: 30 }
export const BUTTON_CM: Bounds = { least: 0.5, most: 10 }
export const TAB_CM: Bounds = { least: 1, most: 60 }
export const FACING_CM: Bounds = { least: 0.5, most: 20 }
export const HANDLE_CM: Bounds = { least: 3, most: 300 }
export const WEIGHT_KG: Bounds = { least: 0.01, most: 50 }
export const STRIP_CM: Bounds = { least: 1, most: 300 }
export const MOST_STRIPES = 24
export const MOST_REPEATS = 30
export const MOST_REPEAT_LINES = 24
export const MOST_BANDS = 40
export const MOST_YARNS = 12
