import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { filesOfPage } from './scripts/filesOfPage.mjs'
import { writeServiceWorker } from './scripts/serviceWorker.mjs'
import { sqlAsText } from './scripts/sqlAsText.mjs'
import { writeJobWorker } from './scripts/jobWorker.mjs'
import vuetify, { transformAssetUrls } from 'vite-plugin-vuetify'

/** class-validator's decorators need the older decorator semantics in every compiler that meets them. */
const tsconfigRaw = { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } }
const decorators = { compilerOptions: { experimentalDecorators: true, exactOptionalPropertyTypes: true } }

export default defineNuxtConfig({
  // Lint is there once the packages for testing are.
  modules: ['@pinia/nuxt', ...(existsSync(join(import.meta.dirname, 'node_modules/@nuxt/eslint')) ? ['@nuxt/eslint'] : [])],
  // The development server has an entry of its own.
  $production: { nitro: { entry: join(import.meta.dirname, 'server/entry.ts') } },
  ssr: false,
  components: [{ path: '~/components', pathPrefix: false }],
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Fair Hollow',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'A bench for people who crochet bags in the round.' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }, { rel: 'apple-touch-icon', href: '/icon-180.png' },
        { rel: 'manifest', href: '/app.webmanifest' },
      ],
    },
  },
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next',
    '@fontsource-variable/atkinson-hyperlegible-mono',
    '@fontsource/bricolage-grotesque/600.css',
    'vuetify/styles',
    '~/assets/main.css',
  ],
  build: { transpile: ['vuetify'] },
  // There is one build and no deployment behind an open page: nothing to ask a manifest for.
  // Other screens are fetched when they are gone to, or kept by the service worker: a link seen is not a screen wanted.
  experimental: { appManifest: false, emitRouteChunkError: 'manual', defaults: { nuxtLink: { prefetch: false } } },
  compatibilityDate: '2026-11-01',
  nitro: {
    errorHandler: join(import.meta.dirname, 'server/error.ts'),
    compressPublicAssets: true,
    routeRules: { '/sw.js': { headers: { 'cache-control': 'no-cache' } } },
    // Fonts for what the server prints; the page has its own.
    serverAssets: [
      { baseName: 'text', dir: '../node_modules/@fontsource/atkinson-hyperlegible-next/files', pattern: '*-latin-{400,700}-normal.woff' },
      { baseName: 'heading', dir: '../node_modules/@fontsource/bricolage-grotesque/files', pattern: '*-latin-700-normal.woff' },
    ],
    rollupConfig: { output: {}, plugins: [sqlAsText()] },
    moduleSideEffects: ['reflect-metadata'],
    esbuild: { options: { tsconfigRaw } },
    typescript: { tsConfig: decorators },
  },
  vite: {
    vue: { template: { transformAssetUrls }, features: { optionsAPI: false } },
    esbuild: { tsconfigRaw },
    // Files of a few lines each cost more in asking than they save: they are laid together with what needs them.
    build: {
      minify: 'terser',
      rollupOptions: {
        output: {
          manualChunks: filesOfPage(import.meta.dirname), onlyExplicitManualChunks: true,
        },
        // Nuxt's ways of fetching while a page is rendered make themselves ready whether anybody wants them or not; nobody does.
        treeshake: { moduleSideEffects: id => !/nuxt\/dist\/app\/composables\/(asyncData|fetch)\.js$/.test(id) },
      },
    },
    worker: { format: 'es' },
    optimizeDeps: { include: ['@mdi/js', 'class-transformer', 'class-validator', 'immer', 'reflect-metadata'] },
  },
  typescript: {
    strict: true,
    tsConfig: {
      ...decorators, vueCompilerOptions: { checkUnknownComponents: true },
      include: ['../tests/app/**/*.ts', '../tests/arbitraries/**/*.ts'],
    },
    sharedTsConfig: decorators,
    nodeTsConfig: {
      ...decorators,
      exclude: ['../tests/app/**/*.ts'],
      // No braces: the compiler takes them for names.
      include: [...['tests', 'core', 'cli', 'bench', 'scripts'].map(folder => `../${folder}/**/*.ts`), '../*.config.ts'],
    },
  },
  postcss: {
    plugins: {
      'cssnano': false,
      '@csstools/postcss-global-data': { files: [join(import.meta.dirname, 'app/assets/breakpoints.css')] },
      'postcss-custom-media': {},
    },
  },
  telemetry: false,
  hooks: {
    // Other screens are fetched when they are gone to, or kept by the service worker: the first one does not wait for them.
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
    // All files of the page are there by then; the server's list of them is not yet made.
    'nitro:build:public-assets': async ({ options }) =>
      writeServiceWorker(options.output.publicDir, join(options.rootDir, 'sw/sw.ts'), options.runtimeConfig.app.buildId),
    // What takes long is done beside the server, by workers that have their own file.
    'nitro:init': (nitro) => {
      nitro.hooks.hook('compiled', () => writeJobWorker(nitro.options.output.serverDir, nitro.options.rootDir))
    },
    'vite:extendConfig': (config, { isClient }) => {
      // Without server rendering the development server still asks the page's own build for a server entry.
      const { input } = config.build?.rollupOptions ?? {}
      const developing = process.env.NODE_ENV === 'development'
      if (developing && isClient && input && typeof input === 'object' && 'entry' in input) Object.assign(input, { server: input.entry })
      // @ts-expect-error the type says readonly, the hook is there to write it
      config.plugins.push(vuetify({ autoImport: true }))
    },
  },
  eslint: { config: { stylistic: { semi: false, quotes: 'single', indent: 2 } } },
})
