/** Screens that draft no bag, or fetch the kinds that theirs is made of; all others may meet bags of any kind. */
const LEAN: readonly unknown[] = ['index', 'bags', 'bags-id', 'safe']

export default defineNuxtRouteMiddleware(async ({ name }) => {
  if (LEAN.includes(name)) return
  // What drafts comes with it: nothing of that may be in the file that every screen begins with.
  const { fetchEveryKind } = await import('~/kinds/fetchKinds')
  await fetchEveryKind()
})
