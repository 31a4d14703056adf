import type { CDPSession, Page } from '@playwright/test'

/** What a screen takes over the line, in bytes. */
export interface Weighed {
  requests: number
  bytes: number
  scripts: number
  answers: number
}

/** What a page fetches until it rests, compressed as it comes over the line. */
export async function weigh(cdp: CDPSession, page: Page, to: string): Promise<Weighed> {
  const sum: Weighed = { requests: 0, bytes: 0, scripts: 0, answers: 0 }
  const kinds = new Map<string, { type: string, url: string }>()
  cdp.on('Network.responseReceived', ({ requestId, type, response }) => kinds.set(requestId, { type, url: response.url }))
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const { type, url } = kinds.get(requestId) ?? { type: '', url: '' }
    sum.requests++
    sum.bytes += encodedDataLength
    if (type === 'Script' || url.endsWith('.js')) sum.scripts += encodedDataLength
    if (url.includes('/api/')) sum.answers += encodedDataLength
  })
  await page.goto(to, { waitUntil: 'networkidle' })
  return { ...sum }
}
