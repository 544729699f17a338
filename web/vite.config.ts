import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [react()],
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
  build: { chunkSizeWarningLimit: 2500 },
  test: {
    environment: 'jsdom',
    setupFiles: ['src/test/setup.ts'],
    globals: false,
    // files share one page, which every test leaves empty: making it anew for each takes as long as the tests
    isolate: false,
    // a busy machine takes several times as long; a test that hangs still ends
    testTimeout: 30_000,
  },
})
