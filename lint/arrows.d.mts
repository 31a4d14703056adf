/** Folders of core and of the page, each before those that may know it. */
export const CORE: readonly string[]
export const APP: readonly string[]
