// What is checked of the code without running it: by npm test, and alone by npm run check.
const boundaries = ['--config', '.dependency-cruiser.cjs', '--output-type', 'err'];

/** Title, command, arguments. */
export const checks = [
  ['Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
  ['Lint', 'npx', ['eslint', '.']],
  ['Types', 'npx', ['tsc', '-p', '.']],
  ['Boundaries', 'npx', ['depcruise', ...boundaries, 'core', 'server', 'web', 'cli', 'demo', 'bench']],
  ['Nothing unused', 'npx', ['knip', '--no-config-hints']],
  ['Lengths of functions', 'node', ['tools/function-lengths.mjs']],
];
