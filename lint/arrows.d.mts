/** Core's wings, each with its folders; each folder before those that may know it. */
export const WINGS: Readonly<Record<string, readonly string[]>>
/** Folders of core (`wing/folder`) and of the page, each before those that may know it. */
export const CORE: readonly string[]
export const APP: readonly string[]
/** The house that a path stands in, and its folder there. */
export function placeOf(path: string): { house: string, folder: string | undefined }
