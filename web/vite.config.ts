import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { defineConfig, type Plugin } from 'vite';
import { questions } from './src/planner/questions.ts';

const server = process.env.SETFIRM_SERVER ?? 'http://127.0.0.1:5080';

/** Writes the service worker with the list of what it keeps; letters of alphabets that no screen has are fetched when they are met. */
function serviceWorker(): Plugin {
  return {
    name: 'setfirm-service-worker',
    apply: 'build',
    generateBundle(_, bundle) {
      const built = Object.keys(bundle).filter(
        (f) => f !== 'index.html' && !/cyrillic|greek|vietnamese/.test(f),
      );
      const files = ['/', ...readdirSync('public').map((f) => `/${f}`), ...built.map((f) => `/${f}`)];
      const source = readFileSync('src/planner/sw.js', 'utf8');
      const version = createHash('sha256')
        .update(JSON.stringify(files) + source)
        .digest('hex')
        .slice(0, 12);
      this.emitFile({
        type: 'asset',
        fileName: 'sw.js',
        source: source
          .replace('__FILES__', JSON.stringify(files))
          .replace('__QUESTIONS__', JSON.stringify(Object.keys(questions)))
          .replace('__VERSION__', version),
      });
    },
  };
}

export default defineConfig({
  plugins: [react({ babel: { plugins: ['babel-plugin-react-compiler'] } }), serviceWorker()],
  build: { outDir: '../src/SetFirm.Web/wwwroot', emptyOutDir: true },
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1',
    port: 5173,
    strictPort: true,
    proxy: { '/api': server, '/openapi': server, '/planner': server },
  },
});
