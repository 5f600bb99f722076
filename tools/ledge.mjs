// npm run ledge: the core from a terminal.
import { ensurePackages, run } from './setup.mjs';

ensurePackages();
run(process.execPath, ['--import', 'tsx', 'cli/ledge.ts', ...process.argv.slice(2)]);
