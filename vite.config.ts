import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const server = process.env['VELVET_LEDGE_SERVER'] ?? 'http://127.0.0.1:4680';

export default defineConfig({
  root: 'web',
  plugins: [react(), tailwindcss()],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2023',
    manifest: true,
    chunkSizeWarningLimit: 900,
    // The page's policy takes fonts from the server alone.
    assetsInlineLimit: 0,
  },
  worker: { format: 'es' },
  server: {
    port: 4681,
    strictPort: true,
    host: '127.0.0.1',
    proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } },
  },
});
