import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'

import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'

/** How many times slower than usual the machine was found before the tests. */
const PACE = Number(process.env.FERNBELL_PACE ?? 1)

const TEXT = /\.(js|css|html|svg)$/

/** What is served as it is lies there smaller too; a font is small already. */
function compressed(): Plugin {
  let folder = ''
  return {
    name: 'compressed',
    apply: 'build',
    configResolved: (config) => {
      folder = config.build.outDir
    },
    closeBundle: () => {
      for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
        if (!TEXT.test(name)) continue
        const path = join(folder, name)
        const content = readFileSync(path)
        writeFileSync(`${path}.br`, brotliCompressSync(content))
        writeFileSync(`${path}.gz`, gzipSync(content, { level: 9 }))
      }
    },
  }
}

export default defineConfig({
  plugins: [
    vue(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'worker',
      filename: 'sw.ts',
      injectRegister: false,
      injectManifest: { globPatterns: ['**/*.{js,css,html,svg,woff2}'] },
      manifest: {
        name: 'Fern Bell',
        short_name: 'Fern Bell',
        description: 'A bench companion for a pastry kitchen',
        theme_color: '#1f4233',
        background_color: '#fafcf8',
        display: 'standalone',
        icons: [{ src: '/bell.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
    }),
    compressed(),
  ],
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    // What several rooms share comes in a few files: a hundred small ones cost more than their bytes.
    cssCodeSplit: false,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'libraries', test: /node_modules/, minShareCount: 2 },
            { name: 'shared', test: /src/, minShareCount: 2 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8615' } },
  test: {
    environment: 'jsdom',
    pool: 'threads',
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/setup.ts'],
    isolate: false,
    testTimeout: 30_000 * PACE,
  },
})
