import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'

/** Writes a .gz beside every built text file: PHP's own server does not compress (bin/lib/router.php serves them). */
function gzip(folder: string): Plugin {
  const walk = (at: string): string[] =>
    readdirSync(at).flatMap((name) =>
      statSync(join(at, name)).isDirectory() ? walk(join(at, name)) : [join(at, name)],
    )
  return {
    name: 'cathedra-gzip',
    closeBundle() {
      if (!existsSync(folder)) return // the build failed; its own message says why
      for (const file of walk(folder).filter((name) => /\.(js|css|svg)$/.test(name))) {
        writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }))
      }
    },
  }
}

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [vue(), vuetify({ autoImport: true }), gzip('public/build')],
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: 'manifest.json',
    rollupOptions: { input: 'resources/ts/main.ts' },
  },
})
