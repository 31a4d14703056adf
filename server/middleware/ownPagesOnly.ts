/** Keeps other people's pages from writing into a maker's records, and this one from reaching out. */
export default defineEventHandler((event) => {
  setResponseHeaders(event, {
    'Content-Security-Policy':
      'default-src \'self\'; script-src \'self\' \'unsafe-inline\'; style-src \'self\' \'unsafe-inline\'; img-src \'self\' data: '
      + 'blob:; font-src \'self\' data:; frame-ancestors \'none\'; base-uri \'self\'; form-action \'self\'',
    'X-Content-Type-Options': 'nosniff', 'Referrer-Policy': 'no-referrer',
  })
  const origin = getRequestHeader(event, 'origin')
  if (!origin || event.method === 'GET' || event.method === 'HEAD') return
  const host = getRequestHeader(event, 'host')
  const from = URL.canParse(origin) ? new URL(origin).host : ''
  if (from !== host)
    throw createError({ statusCode: 403, statusMessage: 'Forbidden', message: 'Only this program\'s own pages may change its records.' })
})
