/** Lets the page open without a network once it was visited, where the browser allows that: not at a plain http address. */
export default defineNuxtPlugin(() => {
  if (!('serviceWorker' in navigator) || import.meta.dev) return
  onNuxtReady(() => {
    navigator.serviceWorker.register('/sw.js', { updateViaCache: 'none' }).catch(() => {
      // The page works without: it only cannot be opened while the program is away.
    })
  })
})
