import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'

const page = (name: string): string => fileURLToPath(new URL(`${name}.html`, import.meta.url))

/** Small windows beside the interface, served with it. */
export default defineConfig({
  base: '/stand-ins/',
  build: {
    target: 'es2022',
    outDir: '../web/dist/stand-ins',
    emptyOutDir: true,
    rollupOptions: { input: { remote: page('remote'), gauge: page('gauge'), strap: page('strap') } },
  },
})
