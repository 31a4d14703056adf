import type { Design } from '~~/core/bag/design/design'

/** That a window of this browser saved a bag, and how it is now. */
interface SavedNews {
  readonly bag: string
  readonly revision: number
  readonly design: Design
}

/** Tells the other windows of this browser what was saved here, and hears what was saved there. */
export function useNews(hear: (news: SavedNews) => void): { readonly tell: (news: SavedNews) => void } {
  const windows = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('fair-hollow.desk')
  if (windows) windows.onmessage = ({ data }: MessageEvent<SavedNews>) => hear(data)
  return { tell: news => windows?.postMessage(JSON.parse(JSON.stringify(news))) }
}
