// Installs what is missing, with nothing but Node: packages as the lock file says, and a browser for the tests.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command with the terminal's own input and output; ends the process when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) fail(`${command} could not be started: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

export function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

/** Installs what the lock file says: what the application is built from and runs on, or all that it is worked on with, too. */
export function ensurePackages({ toRun = false } = {}) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Node ${process.versions.node} is too old: Velvet Ledge needs 20.19 or newer.`);
  // npm writes this file last; while it says the same as the lock file, everything is there.
  const installed = lockOf('node_modules/.package-lock.json');
  const wanted = lockOf('package-lock.json');
  const isWanted = ([path, { optional, dev, devOptional }]) =>
    path !== '' && !optional && !devOptional && !(toRun && dev);
  const isComplete =
    installed !== null &&
    Object.entries(wanted ?? {})
      .filter(isWanted)
      .every(([path, { version }]) => installed[path]?.version === version);
  if (isComplete) return;
  console.log('Installing packages…');
  const which = toRun ? ['--omit=dev'] : [];
  run('npm', ['ci', ...which, '--no-audit', '--no-fund', '--loglevel=error']);
}

function lockOf(path) {
  if (!existsSync(`${root}/${path}`)) return null;
  return JSON.parse(readFileSync(`${root}/${path}`, 'utf8')).packages;
}

const BROWSERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

export function ensureBrowser() {
  const found = [process.env.CHROMIUM, ...BROWSERS].find((path) => path && existsSync(path));
  if (found) return found;
  const isRootOnDebian = process.getuid?.() === 0 && existsSync('/etc/debian_version');
  if (!isRootOnDebian) {
    fail(
      'The tests need Chromium. Install it (on Debian: apt-get install chromium), or name it with CHROMIUM=/path/to/chromium.',
    );
  }
  console.log('Installing Chromium…');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  return ensureBrowser();
}

/** Builds the interface and the server; what is started from here on runs what was built. */
export function build() {
  run('npx', ['vite', 'build', '--logLevel', 'warn']);
  run('npx', ['vite', 'build', '--config', 'server/vite.config.ts', '--logLevel', 'warn']);
  process.env.VELVET_LEDGE_BUILT = '1';
}
