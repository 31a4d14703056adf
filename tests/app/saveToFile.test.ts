import { afterEach, expect, test, vi } from 'vitest'
import { saveMade } from '../../app/keeping/saveToFile'

/** Names of the files that the page has saved. */
function savedNames(): string[] {
  const names: string[] = []
  const link = { download: '', click: () => names.push(link.download) }
  vi.stubGlobal('document', { createElement: () => link })
  return names
}

function answerWith(answer: () => Response): void {
  vi.stubGlobal('fetch', async () => answer())
}

afterEach(() => vi.unstubAllGlobals())

test('a file that the server made is saved under the name it has there', async () => {
  const names = savedNames()
  answerWith(() => new Response('Round 1', { headers: { 'content-disposition': 'attachment; filename="fair-pouch.txt"' } }))
  expect(await saveMade('/api/x')).toBeUndefined()
  expect(names).toEqual(['fair-pouch.txt'])
})

test.each([
  ['no server', () => { throw new TypeError('failed') }, /does not answer.*once more/],
  ['a busy one', () => Response.json({ message: 'Too much is asked at once: try again in a moment.' }, { status: 503 }), /in a moment/],
  [
    'a bag that cannot be drafted',
    () => Response.json({ data: { problems: [{ field: 'gauge.stitches', message: 'count again' }] } }, { status: 422 }),
    /gauge\.stitches: count again/,
  ],
  ['an answer that is no document', () => new Response('<html>', { status: 502 }), /answered with 502/],
  ['a file without a name', () => new Response('Round 1'), /broke off/],
  [
    'a file that breaks off',
    () => new Response(new ReadableStream({ start: stream => stream.error(new Error('cut')) }), {
      headers: { 'content-disposition': 'attachment; filename="fair-pouch.txt"' },
    }),
    /broke off/,
  ],
])('%s: nothing is saved, and it says what to do', async (_, answer, says) => {
  const names = savedNames()
  answerWith(answer)
  expect(await saveMade('/api/x')).toMatch(says)
  expect(names).toEqual([])
})
