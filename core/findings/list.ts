import { colours } from './colours/colours.ts';
import { covered } from './covered/covered.ts';
import type { Rule } from './finding.ts';
import { front } from './front/front.ts';
import { pictures } from './pictures/pictures.ts';
import { texts } from './texts/texts.ts';

/** Every rule that a desk is held to. Add a new one here. */
export const rules: readonly Rule[] = [texts, covered, pictures, colours, front];
