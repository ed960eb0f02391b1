import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'

import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

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
  plugins: [vue(), compressed()],
  build: { target: 'es2022', assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:8615' } },
  test: {
    environment: 'jsdom',
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/testing/setup.ts'],
  },
})
