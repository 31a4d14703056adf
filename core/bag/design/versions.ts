/** Version of the open design document that this program writes. */
export const DESIGN_VERSION = 4
/** Version of the swatch document that this program writes. */
export const SWATCH_VERSION = 2
