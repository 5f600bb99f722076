import { windowSolver } from '../windows/learn.ts';
import { defineSceneSection } from './section.ts';
import { placedTexts } from './texts.ts';

/** All workspaces and their windows at once, where that was asked for. */
export const overview = defineSceneSection({
  key: 'overview',
  solve(context, solving) {
    const { overview: open } = solving.conditions;
    if (open?.screen !== context.id) return null;
    return windowSolver(solving.library)?.overview(context, open, solving) ?? null;
  },
  parts: (open) =>
    open
      ? [
          {
            id: 'overview',
            rect: open.rect,
            surface: open.surface,
            scale: 1,
            texts: () =>
              placedTexts(
                null,
                [
                  ...(open.search.typed === '' ? [open.search.hint] : []),
                  ...open.workspaces.flatMap(({ name, note }) => [name, note]),
                  ...open.found.map(({ run }) => run),
                ],
                { x: 0, y: 0 },
              ),
          },
        ]
      : [],
});
