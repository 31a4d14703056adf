import { defineStore } from 'pinia'
import type { SwatchDocument } from '~~/core/bag/design/design'
import { useDocumentList } from './documentList'

/** The swatches that are kept. */
export const useSwatches = defineStore('swatches', () => {
  const { all: swatches, ...does } = useDocumentList<SwatchDocument>('swatches', '.swatch.json')
  return { swatches, ...does }
})
