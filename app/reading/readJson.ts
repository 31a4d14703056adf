/** Far more than any document of ours needs. */
const MOST_BYTES = 1_000_000

/** Content of a chosen file, or why it cannot be one of ours. */
type JsonFile = { readonly ok: true, readonly value: unknown } | { readonly ok: false, readonly why: string }

/** Reads a JSON file that the maker chose. */
export async function readJson(file: File, ending: string): Promise<JsonFile> {
  if (file.size > MOST_BYTES)
    return { ok: false, why: `${file.name} is ${Math.ceil(file.size / 1e6)} MB; such a file is at most 1 MB. Is it the right one?` }
  try {
    return { ok: true, value: JSON.parse(await file.text()) as unknown }
  }
  catch {
    return { ok: false, why: `${file.name} is not JSON: it may be cut short, or another kind of file. Choose one that ends in ${ending}.` }
  }
}
