/** The sorts of documents that stand in tables of the same shape, by what their files say they are; and the tables they lie in. */
export const DOCUMENT_TABLES = { design: 'designs', swatch: 'swatches', yarn: 'yarns', order: 'orders' } as const

export type DocumentWord = keyof typeof DOCUMENT_TABLES
export type DocumentTable = (typeof DOCUMENT_TABLES)[DocumentWord]

/** All of them, the sort and its table. */
export const DOCUMENTS = Object.entries(DOCUMENT_TABLES) as readonly (readonly [DocumentWord, DocumentTable])[]

/** The tables that tell our records from other people's databases. */
export const OURS = ['designs', 'swatches', 'house']
