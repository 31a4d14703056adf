import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { build } from 'esbuild'

/**
 * A migration as text, as the server's own build takes it (sqlAsText.mjs).
 *
 * @type {import('esbuild').Plugin}
 */
export const sqlAsTextOfWorker = {
  name: 'sql-as-text',
  setup(builder) {
    builder.onResolve({ filter: /\.sql\?text$/ }, ({ path, resolveDir }) => (
      { path: join(resolveDir, path.replace('?text', '')), namespace: 'sql-as-text' }))
    builder.onLoad({ filter: /./, namespace: 'sql-as-text' }, async ({ path }) => ({ contents: await readFile(path, 'utf8'), loader: 'text' }))
  },
}

/** Builds the workers of the worker pool into the server's folder, in one file that needs nothing but the database's own package. */
export async function writeJobWorker(serverDir, rootDir) {
  await build({
    entryPoints: [join(rootDir, 'server/jobs/worker.ts')],
    outfile: join(serverDir, 'jobWorker.cjs'),
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    external: ['better-sqlite3'],
    plugins: [sqlAsTextOfWorker],
    // Packages that look for files beside themselves do so when they are used, not when they are read.
    banner: { js: 'const __here = require("node:url").pathToFileURL(__filename).href' },
    define: { 'import.meta.url': '__here' },
    logLevel: 'error',
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } },
  })
}
