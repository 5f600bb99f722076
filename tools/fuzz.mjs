// npm run fuzz -- --minutes N: properties and hostile files on new seeds; see tests/fuzz/main.ts.
import { build, ensureBrowser, ensurePackages, run } from './setup.mjs';

ensurePackages();
process.env.CHROMIUM = ensureBrowser();
build();
run(process.execPath, ['--import', 'tsx', 'tests/fuzz/main.ts', ...process.argv.slice(2)]);
