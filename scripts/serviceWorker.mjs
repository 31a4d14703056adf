import { createHash } from 'node:crypto'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, relative, sep } from 'node:path'
import { transformWithEsbuild } from 'vite'

/** Not part of what a page is made of. */
const NOT_HELD = /\.(gz|br|map)$|^\/sw\.js$|builds\/(latest|meta)/

function filesBelow(folder, root = folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    return entry.isDirectory() ? filesBelow(path, root) : [`/${relative(root, path).split(sep).join('/')}`]
  })
}

/** Writes the service worker into the built page's folder, with the list of everything that the page is made of. */
export async function writeServiceWorker(publicDir, source, build) {
  const files = filesBelow(publicDir).filter(file => !NOT_HELD.test(file)).sort()
  const hash = createHash('sha256').update(build)
  for (const file of files) hash.update(file).update(readFileSync(join(publicDir, file)))
  const held = { version: hash.digest('hex').slice(0, 16), build, files }
  const { code } = await transformWithEsbuild(readFileSync(source, 'utf8').replace(/export \{\}\s*$/, ''), source, {
    define: { __HELD__: JSON.stringify(held) }, minify: true, target: 'es2022',
  })
  writeFileSync(join(publicDir, 'sw.js'), code)
}
