import { intersection } from '../../values/geometry.ts';
import type { SceneMenu } from '../scene.ts';
import { menuSolvers } from '../menus/learn.ts';
import { defineSceneSection } from './section.ts';
import { placedTexts } from './texts.ts';

/** The menu that is open on a screen. */
export const menu = defineSceneSection({
  key: 'menu',
  solve({ id, rect, free, solved: { edges = [] } }, solving) {
    const { open } = solving.conditions;
    const known = menuSolvers(solving.library);
    return open?.screen === id && known ? known[open.menu](open, { rect, free, edges }, solving) : null;
  },
  parts: (open) =>
    open
      ? [
          {
            id: open.id,
            rect: open.rect,
            surface: open.surface,
            scale: 1,
            texts: () => textsOf(open),
          },
        ]
      : [],
});

/** The texts in sight before anybody scrolls. */
function textsOf(open: SceneMenu) {
  const { rect, view, search, title, none } = open;
  const inView = { x: rect.x + view.x, y: rect.y + view.y };
  const fixed = [search?.hint, title, none].filter((run) => run !== null && run !== undefined);
  return [
    ...placedTexts(null, fixed, rect),
    ...placedTexts(null, open.heads, inView),
    ...open.entries.flatMap((entry) =>
      placedTexts(entry.key, entry.runs, { x: inView.x + entry.rect.x, y: inView.y + entry.rect.y }),
    ),
  ].filter(({ box }) => {
    const seen = intersection(box, rect);
    return (
      seen !== null && seen.height >= box.height - 0.5 && box.y + box.height <= inView.y + view.height + 0.5
    );
  });
}
