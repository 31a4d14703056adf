/** Circles of files that import one another. */
export function circlesAmong(files: ReadonlyMap<string, string>): string[][]
/** The file that an import means, among those given. */
export function meant(source: string, from: string, files: ReadonlyMap<string, string>): string | undefined
