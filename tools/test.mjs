// npm test: every check in turn; all of them run, and the last line counts them. With --slow the twenty slowest tests are
// told before it.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { checks } from './checks.mjs';
import { build, ensureBrowser, ensurePackages, root } from './setup.mjs';

ensurePackages();
process.env.CHROMIUM = ensureBrowser();
// The servers of the end-to-end tests draw the same pictures: one makes them for all.
process.env.VELVET_LEDGE_CACHE = mkdtempSync(join(tmpdir(), 'velvet-test-cache-'));
build();

/** Characters told again of a suite's trouble: a counterexample may be long. */
const MOST_TOLD = 6000;

let passed = 0;
let failed = 0;
/** What did not go well, told once more at the end, where it is found. */
const troubles = [];
/** Tests that took a while: titles, ms. */
const took = [];

/** Runs a command and gives back what it prints, which is shown as it comes unless it is to wait. */
function run(command, args, isShown) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], env: process.env });
    let text = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream.on('data', (chunk) => {
        text += chunk;
        if (isShown) process.stdout.write(chunk);
      });
    }
    child.on('close', (code) => resolve({ code, text }));
  });
}

/** A check counts as one. Its words come all at once: other work goes on beside it. */
async function check(title, command, args) {
  const { code, text } = await run(command, args, false);
  console.log(`\n== ${title}: ${code === 0 ? 'fine' : 'failed'}\n${code === 0 ? '' : text}`);
  if (code === 0) passed++;
  else {
    failed++;
    troubles.push(`${title}: failed`);
  }
}

/** A suite counts each of its tests; a run that ends badly with none failed counts as one failure. */
async function suite(title, args) {
  console.log(`\n== ${title}`);
  const { code, text } = await run('npx', ['mocha', ...args], true);
  const count = (word) => Number(new RegExp(`^\\s*(\\d+) ${word}`, 'm').exec(text)?.[1] ?? 0);
  for (const [, test, ms] of text.matchAll(/^\s*✔ (.*) \((\d+)ms\)$/gm))
    took.push({ title: `${title}: ${test}`, ms: Number(ms) });
  passed += count('passing');
  const failing = count('failing') || (code === 0 ? 0 : 1);
  failed += failing;
  if (failing > 0)
    troubles.push(`${title}: ${(/^\s*\d+ failing[^]*/m.exec(text)?.[0] ?? text).slice(0, MOST_TOLD)}`);
}

async function checkAll() {
  for (const [title, command, args] of checks) await check(title, command, args);
}

await Promise.all([checkAll(), suite('Units', ['--config', '.mocharc.unit.json'])]);
await suite('End to end', ['--config', '.mocharc.e2e.json']);

rmSync(process.env.VELVET_LEDGE_CACHE, { recursive: true, force: true });
if (process.argv.includes('--slow')) {
  console.log('\n== The slowest');
  for (const { title, ms } of took.sort((a, b) => b.ms - a.ms).slice(0, 20))
    console.log(`${(ms / 1000).toFixed(1).padStart(7)} s  ${title}`);
}
if (troubles.length > 0) console.log(`\n== What failed\n${troubles.join('\n\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
