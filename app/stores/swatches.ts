import { defineStore } from 'pinia'
import type { SwatchDocument } from '~~/core/bag/design/design'
import { useDocumentShelf } from './documentShelf'

/** The swatches kept in the house. */
export const useSwatches = defineStore('swatches', () => {
  const { all: swatches, ...does } = useDocumentShelf<SwatchDocument>('swatches', '.swatch.json')
  return { swatches, ...does }
})
