import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
  root: 'web',
  publicDir: 'public',
  plugins: [react(), compression({ algorithms: ['gzip', 'brotliCompress'], threshold: 1024 })],
  worker: { format: 'es' },
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    // Nothing is put inline: the content policy allows scripts and fonts from files alone.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1500,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4173' } },
});
