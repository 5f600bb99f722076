import fc from 'fast-check';
import { learnFamilies, learnOthers } from '../../core/text/families.ts';
import { knowsFamily } from '../../core/text/cuts.ts';

/** Properties try the same cases in every run of the tests; `npm run fuzz` gives them new ones. */
export const SEED = 20261124;
fc.configureGlobal({ seed: Number(process.env['VELVET_LEDGE_SEED'] ?? SEED) });

// Tests measure text in any family. No await here at the top: a file with one is loaded in another way than the tests,
// and would teach a copy of the core that none of them uses.
before(async () => {
  await learnFamilies();
  await learnOthers();
  if (!knowsFamily('fraunces')) throw new Error('The tests measure text without its families');
});
