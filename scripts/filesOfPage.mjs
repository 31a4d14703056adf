import { join } from 'node:path'

/** What every screen begins with; the screen that drafts nothing; and the one that drafts a bag, with what it opens with. */
const BEGIN = ['node_modules/nuxt/dist/app/entry.js']
const LIST = ['app/pages/index.vue']
const BENCH = ['app/pages/bags/[id]/index.vue', 'app/components/bench/PartPanel.vue']

/**
 * Lays together what the first screens need, by who needs it: what of the core the list has, what of it the bench has besides, and what
 * of the page both have. Left to itself the bundler either cuts all that into many small files, or lays small ones together with what
 * nobody asked for. None of the files needs one that needs it.
 *
 * @param {string} root the folder of the program
 * @returns {import('rollup').GetManualChunk}
 */
export function filesOfPage(root) {
  const inCore = id => id.startsWith(join(root, 'core/'))
  let laid
  return (id, { getModuleInfo }) => {
    laid ??= layOut(getModuleInfo)
    return laid.get(id)
  }

  function layOut(getModuleInfo) {
    const needed = ids => reached(ids, getModuleInfo)
    const [begin, list, bench] = [BEGIN, LIST, BENCH].map(paths => needed(paths.map(path => join(root, path))))
    const ofCore = (...screens) => needed(screens.flatMap(ids => [...ids].filter(inCore)))
    const listed = ofCore(begin, list)
    const drafting = ofCore(bench)
    const both = [...list].filter(id => bench.has(id) && !begin.has(id) && !drafting.has(id))
    return new Map([
      ...both.map(id => [id, 'both']), ...[...drafting].map(id => [id, 'draft']), ...[...listed].map(id => [id, 'listed']),
    ])
  }
}

/** All modules that some import, and they themselves; not those that they fetch later. */
function reached(ids, getModuleInfo) {
  const seen = new Set(ids)
  for (const id of seen) for (const next of getModuleInfo(id)?.importedIds ?? []) seen.add(next)
  return seen
}
