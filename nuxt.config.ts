import { fileURLToPath } from 'node:url'

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url))

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
  alias: {
    '#core': here('./core'),
    '#reference': here('./reference'),
    '#schemas': here('./schemas'),
    '#contract': here('./contract'),
    '#devices': here('./devices'),
  },
  compatibilityDate: '2026-11-01',
  nitro: { typescript: { tsConfig: { exclude: ['../**/*.test.ts'] } } },
  vite: {
    worker: { format: 'es' },
    // A face written into the style sheet would be refused by the content policy.
    build: { assetsInlineLimit: file => (file.endsWith('.woff2') ? false : undefined) },
    optimizeDeps: { include: ['yup', 'idb-keyval', 'date-fns'] },
  },
  typescript: { tsConfig: { exclude: ['../**/*.test.ts'] } },
  telemetry: false,
  eslint: { config: { stylistic: { braceStyle: '1tbs' } } },
  icon: {
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 256 },
  },
})
