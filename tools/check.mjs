// npm run check: every check of the code, one after another.
import { spawnSync } from 'node:child_process';
import { checks } from './checks.mjs';
import { ensurePackages, root } from './setup.mjs';

ensurePackages();
const failed = checks.filter(([title, command, args]) => {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit' });
  console.log(`${title}: ${status === 0 ? 'fine' : 'failed'}`);
  return status !== 0;
});
process.exit(failed.length);
