import { boughtHandles } from '~~/core/parts/handle/boughtHandles'
import { crossBody } from '~~/core/parts/handle/crossBody'

/** Handles that are hung in: bought ones, and a cord across the body. */
export const PARTS = [boughtHandles, crossBody] as const
