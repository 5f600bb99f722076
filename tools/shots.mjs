// npm run shots: makes the current picture of each main view from the demo, in docs/screenshots/.
import { build, ensureBrowser, ensurePackages, run } from './setup.mjs';

ensurePackages();
process.env.CHROMIUM = ensureBrowser();
build();
run(process.execPath, ['--import', 'tsx', 'tools/shots.ts', ...process.argv.slice(2)]);
