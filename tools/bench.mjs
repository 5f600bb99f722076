// npm run bench: measures the speed that people feel; prints a table, and writes JSON with --json.
import { build, ensureBrowser, ensurePackages, run } from './setup.mjs';

ensurePackages();
process.env.CHROMIUM = ensureBrowser();
build();
run('npx', ['vite', 'build', '--config', 'bench/vite.config.ts', '--logLevel', 'warn']);
run(process.execPath, ['.cache/bench/main.mjs', ...process.argv.slice(2)]);
