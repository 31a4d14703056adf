import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { addCopy, copiesFolder, copiesOf } from '../server/library/copies'
import { type Owner, ownerWords } from '../server/library/owner'

/*
 * A command while a program runs with the records: it asks that one to do it, so that nothing that is saved meanwhile is lost.
 */

interface ParcelFile {
  readonly file: string
  readonly there?: boolean
  readonly why?: readonly string[]
}

async function asked<T>({ address }: Owner, path: string, body?: Buffer): Promise<T> {
  const answer = await fetch(`${address}${path}`, {
    method: 'POST', ...(body ? { body: new Uint8Array(body), headers: { 'Content-Type': 'application/zip' } } : {}),
  })
  const told = await answer.json() as T & { message?: string }
  if (!answer.ok) throw new Error(`The running program did not do it: ${told.message ?? answer.status} End it first, and try again.`)
  return told
}

/** Has the running program return to a copy. */
async function returned(owner: Owner, path: string, file: string): Promise<string> {
  const known = copiesOf(path).find(({ name }) => `${copiesFolder(path)}/${name}` === file)
  const name = known?.name ?? addCopy(file, path, new Date())
  const { kept } = await asked<{ kept: string }>(owner, `/api/library/copies/${name}`)
  return `What there was is kept as ${copiesFolder(path)}/${kept}\nThe program that runs returned to ${name}.`
}

/** Has the running program bring in what is new of a zip. */
async function brought(owner: Owner, file: string): Promise<string> {
  const bytes = readFileSync(file)
  const { files } = await asked<{ files: readonly ParcelFile[] }>(owner, '/api/library/parcel', bytes)
  for (const one of files) if (one.why) process.stderr.write(`${one.file}: ${one.why.join('; ')}\n`)
  const fresh = files.flatMap(({ there, why }, i) => (there || why ? [] : [i]))
  const here = files.filter(({ there }) => there).length
  if (fresh.length === 0) return `0 brought in; ${here} were here already.`
  const { taken } = await asked<{ taken: number }>(owner, `/api/library/parcel?take=${fresh.join(',')}`, bytes)
  return `${taken} brought in; ${here} were here already.`
}

/** Asks whoever holds the records to restore them; says what came of it. */
export function askOwner(owner: Owner | undefined, path: string, file: string): Promise<string> {
  // A certificate of one's own is none that this command could trust.
  if (!owner?.address?.startsWith('http://'))
    throw new Error(`Another program is running with the records in ${path}.${ownerWords(owner)} Nothing was changed. End it first.`)
  return basename(file).endsWith('.zip') ? brought(owner, file) : returned(owner, path, file)
}
