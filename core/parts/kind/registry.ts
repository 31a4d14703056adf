/**
 * The kinds that the program knows, each by the word that tells it apart in a document. What reads documents knows all of them
 * (design/everyKind.ts); a page fetches those that its bag is made of, and the rest when they are looked at. They are made known once
 * and never forgotten: nothing that is worked out depends on which others are known.
 */
export class KnownKinds<K> {
  readonly #byWord = new Map<string, K>()

  /** @param what what they are kinds of, for whoever asks for one too early */
  constructor(private readonly what: string) {}

  /** Makes one known; one that is made known again stands where it was last named. */
  know(word: string, kind: K): void {
    this.#byWord.delete(word)
    this.#byWord.set(word, kind)
  }

  has(word: string): boolean {
    return this.#byWord.has(word)
  }

  of(word: string): K {
    const kind = this.#byWord.get(word)
    if (!kind) throw new Error(`no ${this.what} is called ${word}: documents are checked, and their kinds fetched, before they get here`)
    return kind
  }

  /** All that are known, as they were made known. */
  all(): readonly K[] {
    return [...this.#byWord.values()]
  }
}
