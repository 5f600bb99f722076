// npm run fuzz -- --minutes N: properties and hostile files on new seeds; see tests/fuzz/main.ts.
import { ensurePackages, run } from './setup.mjs';

ensurePackages();
run(process.execPath, ['--import', 'tsx', 'tests/fuzz/main.ts', ...process.argv.slice(2)]);
