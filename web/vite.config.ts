import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [react()],
  build: { outDir: 'dist', emptyOutDir: true, modulePreload: { polyfill: false } },
  server: { proxy: { '/api': 'http://127.0.0.1:5199' } },
  test: {
    environment: 'happy-dom',
    include: ['src/**/*.test.{ts,tsx}'],
    reporters: ['default', ['junit', { outputFile: '../artifacts/results/web.xml' }]],
  },
})
