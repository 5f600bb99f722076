// npm test: every check in turn; all of them run, and the last line counts them.
import { spawn } from 'node:child_process';
import { buildWeb, ensureBrowser, ensurePackages, root } from './setup.mjs';

ensurePackages();
process.env.CHROMIUM = ensureBrowser();
buildWeb();

let passed = 0;
let failed = 0;

/** Runs a command, shows what it prints and gives it back. */
function show(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'inherit'], env: process.env });
    let text = '';
    child.stdout.on('data', (chunk) => {
      text += chunk;
      process.stdout.write(chunk);
    });
    child.on('close', (code) => resolve({ code, text }));
  });
}

/** A check counts as one. */
async function check(title, command, args) {
  console.log(`\n== ${title}`);
  const { code } = await show(command, args);
  if (code === 0) passed++;
  else failed++;
}

/** A suite counts each of its tests; a run that ends badly with none failed counts as one failure. */
async function suite(title, args) {
  console.log(`\n== ${title}`);
  const { code, text } = await show('npx', ['mocha', ...args]);
  const count = (word) => Number(new RegExp(`^\\s*(\\d+) ${word}`, 'm').exec(text)?.[1] ?? 0);
  passed += count('passing');
  failed += count('failing') || (code === 0 ? 0 : 1);
}

await check('Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
await check('Lint', 'npx', ['eslint', '.']);
await check('Types', 'npx', ['tsc', '-p', '.']);
await check('Boundaries', 'npx', [
  'depcruise',
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
  'core',
  'server',
  'web',
  'cli',
  'demo',
]);
await suite('Units', ['--config', '.mocharc.unit.json']);
await suite('End to end', ['--config', '.mocharc.e2e.json']);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
