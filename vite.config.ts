import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig, type Plugin } from 'vite';
import { pastBarrels } from './tools/vite/barrels.ts';
import { chunksOf } from './tools/vite/chunks.ts';

const root = fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, '');

const server = process.env['VELVET_LEDGE_SERVER'] ?? 'http://127.0.0.1:4680';

/**
 * Schemas of Zod can write themselves as JSON Schema, which the page never asks for: functions that do nothing stand in
 * for those that write. What their file has before them is how limits are read off a schema, and stays.
 */
const withoutJsonSchema: Plugin = {
  name: 'without-json-schema',
  load(id) {
    if (!/\/zod\/v4\/core\/(json-schema-processors|to-json-schema)\.js$/.test(id)) return null;
    const code = readFileSync(id, 'utf8');
    const writers = Math.max(0, code.indexOf('export const stringProcessor'));
    const names = code.slice(writers).matchAll(/^export (?:const|function) (\w+)/gm);
    return (
      code.slice(0, writers) +
      [...names].map(([, name]) => `export const ${name} = () => undefined;\n`).join('')
    );
  },
};

export default defineConfig({
  root: 'web',
  plugins: [pastBarrels(root), withoutJsonSchema, react(), tailwindcss()],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2023',
    manifest: true,
    chunkSizeWarningLimit: 900,
    // The page's policy takes fonts from the server alone.
    assetsInlineLimit: 0,
    rolldownOptions: {
      // What comes later comes together, also where a part of it is asked for alone.
      checks: { ineffectiveDynamicImport: false },
      output: {
        codeSplitting: {
          groups: [{ name: chunksOf(root), debugName: 'pages', includeDependenciesRecursively: false }],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: {
    port: 4681,
    strictPort: true,
    host: '127.0.0.1',
    proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } },
  },
});
