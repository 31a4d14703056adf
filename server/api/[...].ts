/** Any other request for records. */
export default defineEventHandler(() => {
  throw createError({ statusCode: 404, message: 'There is nothing at this address.' })
})
