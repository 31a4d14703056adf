import everyday from './playwright.config'

/** `npm run screenshots`: one current picture of each main view, from the demo world, into docs/screenshots/. */
export default { ...everyday, testDir: 'tests/screenshots', reporter: 'list' as const, workers: 1, projects: [{ name: 'pictures' }] }
