import { spawn } from 'node:child_process';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { RunningServer } from '../support/app.ts';
import { killOften } from './kills.ts';
import { fuzzOutside, fuzzStorage } from './outside.ts';
import { fuzzTexts } from './texts.ts';
import { chanceFrom } from './random.ts';
import { walkOften } from './walker.ts';
import { MOST_MIB, fuzzServer, heldBy, makeSamples, type Found, type Tally } from './server.ts';

/**
 * npm run fuzz -- --minutes N [--seed S] [--kills K] [--walks W]: every property and every hostile file on new seeds, until the time
 * is over. Prints what failed with its seed; ends with 1 when something did.
 */
const { values } = parseArgs({
  options: {
    minutes: { type: 'string', default: '10' },
    seed: { type: 'string' },
    kills: { type: 'string', default: '100' },
    walks: { type: 'string', default: '20' },
  },
});
const until = Date.now() + Number(values.minutes) * 60_000;
const first = values.seed ? Number(values.seed) : Math.floor(Math.random() * 2 ** 31);
const root = fileURLToPath(new URL('../..', import.meta.url));
const notes = { tally: new Map<string, Tally>(), found: [] as Found[] };

/** Test files that hold properties. */
function propertyFiles(folder: string): string[] {
  return readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(folder, name))
    .filter((path) => readFileSync(join(root, path), 'utf8').includes('fc.assert('));
}

/** ms that one run of all properties may take; it takes five minutes on a slow machine. */
const MOST_MS = 900_000;

function runProperties(seed: number): Promise<{ passed: number; failed: number; text: string }> {
  const files = [...propertyFiles('core'), ...propertyFiles('server'), ...propertyFiles('web')];
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      ['node_modules/mocha/bin/mocha.js', '--config', '.mocharc.fuzz.json', ...files],
      {
        cwd: root,
        env: { ...process.env, VELVET_LEDGE_SEED: String(seed) },
        stdio: ['ignore', 'pipe', 'pipe'],
      },
    );
    // One that never ends is found too.
    const timer = setTimeout(() => child.kill('SIGKILL'), MOST_MS);
    let text = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (text += String(chunk)));
    child.on('close', (code) => {
      clearTimeout(timer);
      const number = (word: string) => Number(new RegExp(`^\\s*(\\d+) ${word}`, 'm').exec(text)?.[1] ?? 0);
      resolve({ passed: number('passing'), failed: number('failing') || (code === 0 ? 0 : 1), text });
    });
  });
}

const say = (sentence: string) => console.log(`${new Date().toISOString().slice(11, 19)}  ${sentence}`);

async function main(): Promise<void> {
  say(`seeds from ${first} on, ${values.minutes} minutes`);
  const kills = Number(values.kills);
  if (kills > 0) {
    const saves = await killOften(kills, chanceFrom(first), notes.found);
    say(`${kills} kills amid ${saves} acknowledged saves`);
  }
  const walks = Number(values.walks);
  if (walks > 0) {
    await walkOften(walks, first, notes.found);
    say(`${walks} walks in the studio`);
  }
  const samples = await makeSamples();
  const server = new RunningServer();
  await server.start();
  let peak = 0;
  const watch = setInterval(() => (peak = Math.max(peak, heldBy(server.pid))), 150);
  let properties = { passed: 0, failed: 0 };
  let rounds = 0;
  // In turn, so that neither takes the other's time: as long for files as the properties took.
  for (let seed = first; Date.now() < until; seed++) {
    const start = Date.now();
    const run = await runProperties(seed);
    properties = { passed: properties.passed + run.passed, failed: properties.failed + run.failed };
    if (run.failed > 0) {
      notes.found.push({ what: `properties on seed ${seed}`, detail: run.text.slice(-6000) });
      say(`seed ${seed}: ${run.failed} properties failed`);
    }
    const half = Math.min(until, 2 * Date.now() - start);
    do {
      const before = notes.found.length;
      const round = first + rounds++;
      await fuzzServer(server, samples, chanceFrom(round), notes).catch((error: unknown) =>
        notes.found.push({ what: 'the server stops answering', detail: String(error) }),
      );
      await fuzzTexts(chanceFrom(round), notes);
      await fuzzOutside(server, chanceFrom(round), notes);
      await fuzzStorage(server, chanceFrom(round), notes);
      for (const { what } of notes.found.slice(before)) say(`seed ${round}: ${what}`);
    } while (Date.now() < half);
  }
  clearInterval(watch);
  await server.end();
  if (peak > MOST_MIB)
    notes.found.push({ what: `the server held ${Math.round(peak)} MiB`, detail: `more than ${MOST_MIB}` });

  console.log(
    `\n${'what'.padEnd(16)}${'tried'.padStart(8)}${'accepted'.padStart(10)}${'refused'.padStart(9)}${'failed'.padStart(8)}`,
  );
  for (const [kind, { tried, accepted, refused, failed }] of notes.tally)
    console.log(
      kind.padEnd(16) +
        String(tried).padStart(8) +
        String(accepted).padStart(10) +
        String(refused).padStart(9) +
        String(failed).padStart(8),
    );
  console.log(
    `${rounds} rounds of files; ${properties.passed + properties.failed} runs of properties; the server held at most ${Math.round(peak)} MiB`,
  );
  for (const { what, detail } of notes.found) console.log(`\nFOUND ${what}\n${detail}`);
  console.log(`\n${notes.found.length === 0 ? 'nothing found' : `${notes.found.length} found`}`);
  process.exitCode = notes.found.length === 0 ? 0 : 1;
}

await main();
