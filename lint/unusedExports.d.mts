/** Exports that no file imports, each as `file name`. */
export function unusedExports(files: ReadonlyMap<string, string>): string[]
