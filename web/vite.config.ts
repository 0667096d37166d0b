import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

const GROUND = '#eef1ec'

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/offline',
      filename: 'service-worker.ts',
      // The page registers it itself, and asks a person before a new version takes over.
      injectRegister: false,
      injectManifest: { globPatterns: ['**/*.{js,css,html,svg,png,woff2}'] },
      manifest: {
        name: 'Still Pine',
        short_name: 'Still Pine',
        description:
          'Plans, logs and judges the starting of young horses, from first handling to first rides.',
        start_url: '/before',
        scope: '/',
        display: 'standalone',
        background_color: GROUND,
        theme_color: GROUND,
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
    }),
  ],
  // One chunk of React, the store and the shell is meant.
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 700,
  },
  // The shorthand would send the server's own host along, and it takes writes of its own pages only.
  server: {
    proxy: { '/api': { target: 'http://127.0.0.1:4181' }, '/feeds': { target: 'http://127.0.0.1:4181' } },
  },
})
