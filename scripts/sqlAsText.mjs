import { readFile } from 'node:fs/promises'
import { fileURLToPath, pathToFileURL } from 'node:url'

/**
 * Lets the server and its tests import a migration as text: `import sql from './001-designs.sql?text'`.
 *
 * The server's bundler can import .sql files by itself, but then marks the chunk they land in as not to be rewritten,
 * and that chunk is the whole server, which then looks for its public files in the wrong folder.
 *
 * @returns {import('rollup').Plugin & { enforce: 'pre' }} a plugin for Rollup and Vite
 */
export function sqlAsText() {
  return {
    name: 'sql-as-text', enforce: 'pre',
    resolveId(id, importer) {
      return importer && id.endsWith('.sql?text')
        ? `${fileURLToPath(new URL(id.replace('?text', ''), pathToFileURL(importer)))}?text`
        : undefined
    },
    async load(id) {
      if (!id.endsWith('.sql?text')) return undefined
      return `export default ${JSON.stringify(await readFile(id.replace('?text', ''), 'utf8'))}`
    },
  }
}
