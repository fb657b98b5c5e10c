import { defineConfig } from 'vite';

export default defineConfig({
  publicDir: false,
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        main: 'server/main.ts',
        'compute-worker': 'server/compute/compute-worker.ts',
        seed: 'demo/seed.ts',
        backup: 'server/keep/backup-main.ts',
        restore: 'server/keep/restore-main.ts',
      },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
});
