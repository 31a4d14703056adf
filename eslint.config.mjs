import { createNodeResolver } from 'eslint-plugin-import-x'
import withNuxt from './.nuxt/eslint.config.mjs'

/** Folders of core, from what knows nothing to what knows everything: arrows only point to the left. */
const CORE_ORDER = ['measure', 'stitch', 'gauge', 'round', 'repeat', 'part', 'texture', 'base', 'contents', 'mesh', 'mouth', 'handle', 'wall', 'design', 'draft', 'fit', 'yarn', 'words', 'chart', 'export']

const downwards = CORE_ORDER.slice(0, -1).map((folder, i) => ({
  target: `./core/${folder}/!(*.test).ts`,
  from: CORE_ORDER.slice(i + 1).map(above => `./core/${above}`),
  message: `core/${folder} may only import what stands below it: ${CORE_ORDER.slice(0, i).join(', ') || 'nothing'}.`,
}))

export default withNuxt(
  {
    settings: { 'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.vue', '.mjs', '.js'] })] },
    rules: {
      'import/no-restricted-paths': ['error', {
        zones: [
          ...downwards,
          { target: './core', from: ['./app', './server', './cli', './bench'], message: 'core knows nothing of who uses it.' },
          { target: './app', from: './server', message: 'the page talks to the server over its routes.' },
          { target: './server', from: './app', message: 'the server knows nothing of the page.' },
        ],
      }],
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
      'complexity': ['error', 16],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [
        { group: ['node:*', 'fs', 'path', 'vue', 'nuxt', '#*', '~*', '@/*'], message: 'core is pure: no DOM, no Node, no framework.' },
      ] }],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'localStorage', 'setTimeout', 'performance', 'fetch'],
      'no-restricted-properties': ['error',
        { object: 'Math', property: 'random', message: 'core takes a seed if it needs chance.' },
        { object: 'Date', property: 'now', message: 'core has no clock.' },
      ],
    },
  },
  { files: ['**/*.test.ts', 'tests/**/*.ts'], rules: { 'max-lines': 'off' } },
)
