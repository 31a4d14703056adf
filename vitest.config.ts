import { fileURLToPath } from 'node:url'
import { defineConfig, type Plugin } from 'vitest/config'

/** Migrations are text, as the server's build has them. */
const sqlAsText: Plugin = {
  name: 'sql-as-text',
  transform: (code, id) => id.endsWith('.sql') ? `export default ${JSON.stringify(code)}` : undefined,
}

export default defineConfig({
  plugins: [sqlAsText],
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)) } },
  esbuild: { tsconfigRaw: JSON.stringify({ compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } }) as never },
  test: { include: ['core/**/*.test.ts', 'tests/unit/**/*.test.ts', 'tests/server/**/*.test.ts'] },
})
