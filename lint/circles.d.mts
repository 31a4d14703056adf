/** Circles of files that import one another. */
export function circlesAmong(files: ReadonlyMap<string, string>): string[][]
