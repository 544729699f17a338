import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [react()],
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
  build: { chunkSizeWarningLimit: 2500 },
  // a busy machine takes several times as long; a test that hangs still ends
  test: { environment: 'jsdom', setupFiles: ['src/test/setup.ts'], globals: false, testTimeout: 30_000 },
})
