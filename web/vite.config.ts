import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

const server = process.env.SETFIRM_SERVER ?? 'http://127.0.0.1:5080';

export default defineConfig({
  plugins: [react({ babel: { plugins: ['babel-plugin-react-compiler'] } })],
  build: { outDir: '../src/SetFirm.Web/wwwroot', emptyOutDir: true },
  server: {
    host: '127.0.0.1',
    port: 5173,
    strictPort: true,
    proxy: { '/api': server, '/openapi': server },
  },
  test: { environment: 'node', include: ['src/**/*.test.ts'] },
});
