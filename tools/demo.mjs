// npm run demo: everything from nothing to a served demo. Options go to the server: --port, --data, --host.
import { build, ensurePackages, run } from './setup.mjs';

ensurePackages({ toRun: true });
build();
run(process.execPath, ['server/start.mjs', '--demo', ...process.argv.slice(2)]);
