import { createHash } from 'node:crypto'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import palette from 'tailwindcss/colors'

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url))

const faces = (family: string): string => here(`./node_modules/@fontsource/${family}/files`)

/** Files of the program that a browser has no use for without the server: those made smaller beforehand, and the worker itself. */
const isLeftOut = (file: string): boolean => /\.(br|gz|map)$|^\/(sw|program)\.js$|^\/_nuxt\/builds\//.test(file)

/** Writes down which files the program has, for the service worker that keeps them, and which build that is. */
function tellProgram(folder: string): void {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter(one => one.isFile())
    .map(one => join(one.parentPath, one.name).slice(folder.length))
    .filter(file => !isLeftOut(file))
    .sort()
  const hash = createHash('sha256')
  for (const file of files) hash.update(`${file}\0`).update(readFileSync(folder + file))
  const build = hash.digest('hex').slice(0, 16)
  writeFileSync(join(folder, 'program.js'), `self.PROGRAM = ${JSON.stringify({ build, files: ['/', ...files] })}\n`)
}

/** Of the palette the colours that notices, dialogs and fields are drawn in: the others would come with every page, 2 kB of them. */
const PALETTE = 'tailwindcss/colors'
const usedColours = {
  name: 'used-colours',
  enforce: 'pre' as const,
  resolveId: (id: string) => (id === PALETTE ? `\0${PALETTE}` : undefined),
  load(id: string) {
    const { green, blue, yellow, red, slate } = palette
    return id === `\0${PALETTE}` ? `export default ${JSON.stringify({ green, blue, yellow, red, slate })}` : undefined
  },
}

/** What the core and the reference hold does nothing by being there: what a page does not use of it does not come with the page. */
const isPure = (file: string): boolean => ['core', 'reference'].some(folder => file.startsWith(here(`./${folder}/`)))

/**
 * Files of the program smaller than this, bytes before they are made small, are joined with others: a page asks for 14 to 33 of them, not
 * 30 to 74, and comes with 2 % more. A phone asks for six at a time.
 */
const SMALL_FILE = 7_000

/** The pages there are, as patterns of their paths: what is under none of them is not found. */
const pagePatterns = (): string[] =>
  readdirSync(here('./app/pages'), { recursive: true, encoding: 'utf8' }).filter(file => file.endsWith('.vue'))
    .map(file => `/${file.replace(/\.vue$/, '')}`.replace(/\/index$/, '').replace(/\[\w+\]/g, '[^/]+') || '/')

export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@nuxt/eslint', '@pinia/nuxt', '@vueuse/nuxt'],
  // Every screen follows from a log and a clock on the device; there is nothing for the server to draw.
  ssr: false,
  devtools: { enabled: false },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Oxlip',
      meta: [
        { name: 'description', content: 'Plans and logs the finishing of turned pens.' },
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
      // Sets the theme before the first paint. A file of its own, so that the content policy needs no exception.
      script: [{ src: '/theme.js' }],
    },
  },
  css: [
    '@fontsource-variable/bricolage-grotesque/index.css',
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '@fontsource-variable/atkinson-hyperlegible-mono/index.css',
    '~/assets/css/main.css',
  ],
  ui: { fonts: false, colorMode: false },
  spaLoadingTemplate: true,
  runtimeConfig: { pages: pagePatterns() },
  alias: {
    '#core': here('./core'),
    '#reference': here('./reference'),
    '#schemas': here('./schemas'),
    '#contract': here('./contract'),
    '#devices': here('./devices'),
  },
  experimental: {
    // Nothing is fetched that nobody asked for.
    defaults: { nuxtLink: { prefetch: false } },
    // A page whose part does not come is not loaded anew where there is no server: see useProgram.
    emitRouteChunkError: 'manual',
  },
  compatibilityDate: '2026-11-01',
  nitro: {
    typescript: { tsConfig: { exclude: ['../**/*.test.ts'] } },
    routeRules: {
      // What every answer carries, files of the program too.
      '/**': {
        headers: {
          'X-Content-Type-Options': 'nosniff',
          'X-Frame-Options': 'DENY',
          'Referrer-Policy': 'same-origin',
          'Cross-Origin-Opener-Policy': 'same-origin',
          'Cross-Origin-Resource-Policy': 'same-origin',
          'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
        },
      },
      // Answers belong to whoever asked: nothing on the way keeps them.
      '/api/**': { headers: { 'Cache-Control': 'no-store' } },
    },
    compressPublicAssets: { gzip: true, brotli: true },
    // The faces that papers are set in: static ones, which the maker of PDF takes.
    serverAssets: [
      ...['atkinson-hyperlegible-next', 'bricolage-grotesque', 'noto-sans'].map(baseName =>
        ({ baseName, dir: faces(baseName), pattern: '*-{latin,greek,cyrillic}{,-ext}-[47]00-normal.woff' })),
      ...['bricolage-grotesque', 'noto-sans'].map(baseName =>
        ({ baseName, dir: faces(baseName), pattern: '*-vietnamese-[47]00-normal.woff' })),
    ],
  },
  vite: {
    plugins: [usedColours],
    worker: { format: 'es' },
    // A face written into the style sheet would be refused by the content policy.
    build: { assetsInlineLimit: file => (file.endsWith('.woff2') ? false : undefined) },
    optimizeDeps: { include: ['yup', 'idb-keyval', 'date-fns'] },
    $client: {
      build: {
        rollupOptions: {
          treeshake: { moduleSideEffects: file => !isPure(file) },
          output: { experimentalMinChunkSize: SMALL_FILE },
        },
      },
    },
  },
  typescript: { tsConfig: { exclude: ['../**/*.test.ts'] } },
  telemetry: false,
  hooks: {
    'nitro:build:public-assets': ({ options }) => tellProgram(options.output.publicDir),
    // Nor is a chunk of a page that is not open.
    'build:manifest': (manifest) => {
      for (const file of Object.values(manifest)) Object.assign(file, { prefetch: false, dynamicImports: [] })
      // The faces of the first picture come with it, so that no heading changes its face.
      for (const file of Object.values(manifest)) if (/(grotesque|next|mono)-latin-wght/.test(file.file)) file.preload = true
    },
  },
  eslint: { config: { stylistic: { braceStyle: '1tbs' } } },
  icon: {
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 256 },
  },
})
