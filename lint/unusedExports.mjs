import { meant } from './circles.mjs'

const NAMED = /(?:import|export)\s+(?:type\s+)?(?:\w+\s*,\s*)?\{([^}]*)\}\s*from\s*'([^']+)'/g
const WHOLE = /(?:\*(?:\s+as\s+\w+)?\s+from\s*|import\()'([^']+)'/g
const EXPORTED = /^export (?:async )?(?:abstract )?(?:function\*?|const|class|interface|type) (\w+)/gm

/**
 * Exports that no file imports, each as `file name`: what only its own file needs is nobody else's matter.
 *
 * @param {ReadonlyMap<string, string>} files the text of each by its path from the root
 */
export function unusedExports(files) {
  const used = new Set()
  const nameOf = imported => imported.trim().replace(/^type\s+/, '').split(/\s+as\s+/)[0]
  for (const [path, text] of files) {
    for (const [, names, source] of text.matchAll(NAMED))
      for (const name of names.split(',')) used.add(`${meant(source, path, files)} ${nameOf(name)}`)
    for (const [, source] of text.matchAll(WHOLE)) used.add(`${meant(source, path, files)} *`)
  }
  return [...files].flatMap(([path, text]) =>
    used.has(`${path} *`) || !/\.(ts|mjs)$/.test(path) || /^tests\/|\.test\.ts$/.test(path)
      ? []
      : [...text.matchAll(EXPORTED)].map(([, name]) => `${path} ${name}`).filter(one => !used.has(one)))
}
