import fc from 'fast-check';
import { learnFamilies, learnOthers } from '../../core/text/families.ts';
import { learnExpressions } from '../../core/expressions/learn.ts';
import { learnMenus } from '../../core/scene/menus/learn.ts';
import { learnSources } from '../../core/sources/learn.ts';
import { learnWindows } from '../../core/scene/windows/learn.ts';
import { learnWidgets } from '../../core/widgets/learn.ts';
import { fontBook } from '../../core/text/cuts.ts';
import { ownLibrary } from '../../core/values/library.ts';

/** Properties try the same cases in every run of the tests; `npm run fuzz` gives them new ones. */
export const SEED = 20261124;
fc.configureGlobal({ seed: Number(process.env['VELVET_LEDGE_SEED'] ?? SEED) });

// Tests measure text in any family, and solve any kind of widget.
async function beforeAll(): Promise<void> {
  await learnFamilies();
  await learnOthers();
  await learnWidgets();
  await learnSources();
  await learnMenus();
  await learnWindows();
  await learnExpressions();
  if (!ownLibrary.on(fontBook).knows('fraunces'))
    throw new Error('The tests measure text without its families');
}
export const mochaHooks = { beforeAll };
