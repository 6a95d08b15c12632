import tailwindcss from '@tailwindcss/vite'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { buildThread, THREADS } from './scripts/buildThread'

/** Types are checked anew only where something changed: what is known of the rest is kept beside the packages. */
const incremental = (part: string) => ({
  incremental: true,
  tsBuildInfoFile: `../node_modules/.cache/types/${part}.tsbuildinfo`,
})

/** What the reader of PDFs fetches when a file needs it: decoders of scans, letters, codes of letters, inks. */
const PDF_PARTS = ['wasm', 'standard_fonts', 'cmaps', 'iccs'] as const
const pdfReader = dirname(fileURLToPath(import.meta.resolve('pdfjs-dist/package.json')))
/** Seconds. */
const YEAR = 31_536_000

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  experimental: { appManifest: false },
  modules: ['@pinia/nuxt', 'nuxt-security'],
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '@fontsource-variable/atkinson-hyperlegible-mono/index.css',
    '~/theme/main.css',
  ],
  app: {
    head: {
      title: 'Rhopander',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'description', content: 'Aim moving lights at places; every cue follows.' }],
      script: [{ src: '/askEarly.js', tagPosition: 'head', tagPriority: 'high' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  runtimeConfig: {
    /** Set by NUXT_DATABASE_URL. */
    databaseUrl: '',
    /** Set by NUXT_ALLOWED_HOSTS: names besides the loopback ones, with commas between. */
    allowedHosts: '',
    /** Set by NUXT_ADDRESSES: where people on other machines reach this server, with spaces between. */
    addresses: '',
  },
  components: [{ path: '~/components', pathPrefix: false }],
  vite: { plugins: [tailwindcss()], worker: { format: 'es' } },
  hooks: {
    // Each thread of the server is a script of its own, beside it.
    'nitro:init': (nitro) => {
      nitro.hooks.hook('compiled', async () => {
        for (const [name, entry] of Object.entries(THREADS))
          await buildThread(entry, join(nitro.options.output.serverDir, `${name}.mjs`))
      })
    },
  },
  nitro: {
    publicAssets: PDF_PARTS.map((part) => ({
      dir: join(pdfReader, part),
      baseURL: `/pdf/${part}`,
      maxAge: YEAR,
    })),
    prerender: { routes: ['/stand-in'], crawlLinks: false },
    typescript: { tsConfig: { compilerOptions: incremental('server') } },
  },
  typescript: {
    strict: true,
    sharedTsConfig: {
      include: ['../core/**/*.ts', '../demo/**/*.ts'],
      compilerOptions: incremental('shared'),
    },
    nodeTsConfig: {
      compilerOptions: incremental('node'),
      include: ['../scripts/**/*.ts', '../cli/**/*.ts', '../bench/**/*.ts', '../tests/**/*.ts', '../*.config.ts'],
    },
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true, exactOptionalPropertyTypes: true, ...incremental('app') },
    },
  },
  security: {
    headers: {
      contentSecurityPolicy: {
        'default-src': ["'self'"],
        'base-uri': ["'none'"],
        'connect-src': ["'self'"],
        'font-src': ["'self'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        'img-src': ["'self'", 'data:'],
        'object-src': ["'none'"],
        'script-src': ["'self'", "'nonce-{{nonce}}'"],
        'script-src-attr': ["'none'"],
        'style-src': ["'self'", "'nonce-{{nonce}}'"],
        'worker-src': ["'self'", 'blob:'],
        'upgrade-insecure-requests': false,
      },
      crossOriginEmbedderPolicy: false,
      strictTransportSecurity: false,
      permissionsPolicy: { fullscreen: ['self'], camera: [], microphone: [], geolocation: [] },
    },
    corsHandler: false,
    rateLimiter: false,
    xssValidator: false,
    // Bodies are limited while they are read.
    requestSizeLimiter: false,
  },
})
