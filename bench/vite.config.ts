import { defineConfig } from 'vite';

/** Built as the interface is built, so that what is measured is what is shipped. */
export default defineConfig({
  build: {
    ssr: 'bench/main.ts',
    outDir: '.cache/bench',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'main.mjs' } },
  },
});
