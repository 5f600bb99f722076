import fc from 'fast-check';
import { learnFamilies } from '../../core/text/families.ts';

/** Properties try the same cases in every run of the tests; `npm run fuzz` gives them new ones. */
export const SEED = 20261124;
fc.configureGlobal({ seed: Number(process.env['VELVET_LEDGE_SEED'] ?? SEED) });

// Tests measure text in any family.
await learnFamilies();
