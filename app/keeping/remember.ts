/** Has the browser remember a small thing. One that keeps nothing asks again next time. */
export function remember(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value))
  }
  catch {
    // Nothing is lost that cannot be chosen again.
  }
}
