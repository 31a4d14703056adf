import { dirname, join } from 'node:path'

const IMPORTS = /^(?:import|export)\b[^'"]*?(?:from\s*)?['"]([^'"]+)['"]/gm

/** The file that an import means, among those given by their paths from the root; nothing for a package. */
export function meant(source, from, files) {
  const path = source.startsWith('~~/')
    ? source.slice(3)
    : source.startsWith('~/')
      ? `app/${source.slice(2)}`
      : source.startsWith('.')
        ? join(dirname(from), source)
        : ''
  return [path, `${path}.ts`, `${path}.vue`, `${path}/index.ts`].find(one => files.has(one))
}

/**
 * Circles of files that import one another, types alone included: none of them can be read first.
 *
 * @param files the text of each by its path from the root
 */
export function circlesAmong(files) {
  const imports = new Map(
    [...files].map(([path, text]) => [path, [...text.matchAll(IMPORTS)].map(([, source]) => meant(source, path, files)).filter(Boolean)]),
  )
  const done = new Set()
  const circles = []
  const visit = (path, way) => {
    const at = way.indexOf(path)
    if (at >= 0) circles.push([...way.slice(at), path])
    if (at >= 0 || done.has(path)) return
    for (const next of imports.get(path)) visit(next, [...way, path])
    done.add(path)
  }
  for (const path of files.keys()) visit(path, [])
  return circles
}
