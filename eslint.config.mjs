import withNuxt from './.nuxt/eslint.config.mjs'
import { arrows } from './lint/arrows.mjs'
import { roles } from './lint/roles.mjs'

/** Clocks, chance and the world outside, by any name. */
const OUTSIDE = [
  'Date', 'performance', 'setTimeout', 'setInterval', 'setImmediate', 'requestAnimationFrame', 'crypto', 'fetch', 'process', 'require',
  'window', 'document', 'navigator', 'localStorage', 'globalThis', 'self', 'global', 'console',
]

const CHANCE = { message: 'core takes a seed if it needs chance.' }

export default withNuxt(
  {
    plugins: { house: { rules: { arrows, roles } } },
    rules: {
      'house/arrows': 'error',
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
      'complexity': ['error', 16],
    },
  },
  {
    files: ['core/**/*.ts', 'app/**/*.{ts,vue}', 'server/**/*.ts', 'cli/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'house/roles': 'error' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...OUTSIDE.map(name => ({ name, message: 'core is pure: no clock, no page, no machine.' }))],
      'no-restricted-syntax': ['error',
        { selector: 'MemberExpression[object.name="Math"][property.name="random"]', ...CHANCE },
        { selector: 'MemberExpression[object.name="Math"][computed=true]', ...CHANCE },
        { selector: ':not(MemberExpression) > Identifier[name="Math"]', ...CHANCE },
        { selector: 'ImportExpression', message: 'core loads nothing while it runs.' },
      ],
    },
  },
  { files: ['**/*.{ts,mjs}'], rules: { '@stylistic/max-len': ['error', { code: 140, ignoreUrls: true, ignoreRegExpLiterals: true }] } },
  {
    // What is read as text in a template has no place to break it.
    files: ['**/*.vue'],
    rules: { 'vue/max-len': ['error', { code: 140, template: 140, ignoreHTMLTextContents: true, ignorePattern: '<figcaption>|:d="`M' }] },
  },
  { files: ['**/*.test.ts', 'tests/**/*.ts'], rules: { 'max-lines': 'off' } },
)
