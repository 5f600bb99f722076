// npm run dev: the server, started anew on each change, and the interface with changes shown at once.
import { spawn } from 'node:child_process';
import { ensurePackages, root } from './setup.mjs';

ensurePackages();
const children = [
  spawn(
    process.execPath,
    ['--watch', '--import', 'tsx', 'server/main.ts', '--demo', ...process.argv.slice(2)],
    { cwd: root, stdio: 'inherit' },
  ),
  spawn('npx', ['vite'], { cwd: root, stdio: 'inherit' }),
];
for (const child of children) {
  child.on('exit', (code) => {
    for (const other of children) other.kill();
    process.exit(code ?? 0);
  });
}
