import { defineStore } from 'pinia'
import type { SwatchDocument } from '~~/core/bag/design/design'
import { useShelf } from './shelved'

/** The swatches kept in the house. */
export const useSwatches = defineStore('swatches', () => {
  const { all: swatches, ...does } = useShelf<SwatchDocument>('swatches', '.swatch.json')
  return { swatches, ...does }
})
