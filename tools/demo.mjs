// npm run demo: everything from nothing to a served demo. Options go to the server: --port, --data, --host.
import { buildWeb, ensurePackages, run } from './setup.mjs';

ensurePackages();
buildWeb();
run(process.execPath, ['server/start.mjs', '--demo', ...process.argv.slice(2)]);
