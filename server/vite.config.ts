import { defineConfig } from 'vite';

/** The server and its helpers as one program each; packages stay where they are. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: { main: 'server/main.ts', 'helpers/work': 'server/helpers/work.ts' },
      output: { entryFileNames: '[name].mjs', chunkFileNames: 'parts/[name]-[hash].mjs' },
    },
  },
});
