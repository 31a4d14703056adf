/** The sorts of documents that lie on shelves of the same shape, by what their files say they are; and the tables they lie in. */
export const DOCUMENT_TABLES = { design: 'designs', swatch: 'swatches', yarn: 'yarns', order: 'orders' } as const

type DocumentSort = keyof typeof DOCUMENT_TABLES
export type DocumentTable = (typeof DOCUMENT_TABLES)[DocumentSort]

/** All of them, the sort and its table. */
export const DOCUMENTS = Object.entries(DOCUMENT_TABLES) as readonly (readonly [DocumentSort, DocumentTable])[]

/** The tables that tell our records from other people's databases. */
export const OURS = ['designs', 'swatches', 'house']
