import { learnFamilies } from '../../core/text/families.ts';

// Tests measure text in any family.
await learnFamilies();
