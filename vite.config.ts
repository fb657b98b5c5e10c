import { constants } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: 'web',
  publicDir: 'public',
  plugins: [
    react(),
    // The page stands also while the server is stopped: its files are kept by the browser, by the version they were built as.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: null,
      // Installed, the browser may look at the clock now and then with all pages closed.
      manifest: {
        name: 'Earnest Still',
        short_name: 'Still',
        start_url: '/bench',
        display: 'standalone',
        background_color: '#f7f3eb',
        theme_color: '#22303c',
        icons: [{ src: 'favicon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,woff2,svg}'],
        // Scripts, of which the largest is the core with its tables.
        maximumFileSizeToCacheInBytes: 4e6,
        // What is due, told and tapped.
        importScripts: ['told.js'],
        clientsClaim: true,
        skipWaiting: true,
        cleanupOutdatedCaches: true,
        // The page itself comes from the server whenever that answers: after an upgrade it is never an old one.
        directoryIndex: null,
        navigateFallback: null,
        runtimeCaching: [
          {
            urlPattern: ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
            handler: 'NetworkFirst',
            options: { cacheName: 'page', networkTimeoutSeconds: 4, precacheFallback: { fallbackURL: 'index.html' } },
          },
        ],
      },
    }),
    compression({
      // The last twentieth of size costs brotli half of the whole build.
      algorithms: ['gzip', defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } })],
      threshold: 1024,
    }),
  ],
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
