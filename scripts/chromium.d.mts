export const CHROMIUM_PACKAGES: readonly string[]
export const CHROMIUM: string
