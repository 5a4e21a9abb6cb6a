import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

const backend = 'http://127.0.0.1:5199'

export default defineConfig({
  plugins: [react()],
  build: { outDir: 'dist', emptyOutDir: true, chunkSizeWarningLimit: 1000, modulePreload: { polyfill: false } },
  // The server answers pages of its own origin only; to it these are.
  server: { proxy: { '/api': { target: backend, changeOrigin: true, headers: { origin: backend } } } },
  css: { modules: { localsConvention: 'camelCaseOnly' } },
  test: {
    environment: 'happy-dom',
    include: ['src/**/*.test.{ts,tsx}'],
    reporters: ['default', ['junit', { outputFile: '../artifacts/results/web.xml' }]],
  },
})
