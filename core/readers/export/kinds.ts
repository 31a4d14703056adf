import { chart } from './chart'
import { markdown } from './markdown'
import { record } from './wholeDraft'
import { table } from './table'
import { text } from './text'

/** The forms a draft leaves the program in, in the order they are offered: the only list of them. */
export const EXPORT_KINDS = [text, markdown, table, chart, record] as const
