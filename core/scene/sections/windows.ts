import type { SceneWindow } from '../scene.ts';
import type { ScenePart } from '../parts.ts';
import { windowSolver } from '../windows/learn.ts';
import { defineSceneSection } from './section.ts';
import { placedTexts } from './texts.ts';

/** The windows that are seen on a screen, and the place that one would take which is being moved. */
export const windows = defineSceneSection({
  key: 'windows',
  solve(ground, solving) {
    const known = windowSolver();
    const { desk, windowHint: hint } = solving;
    return {
      list: known
        ? solving.windows.flatMap((window) => {
            const isHere =
              window.screen === ground.id && window.workspace === solving.atWorkspace && !window.isMinimised;
            const application = isHere && desk.applications.find(({ id }) => id === window.application);
            return application ? [known.window(window, application, ground, solving)] : [];
          })
        : [],
      workspace: solving.atWorkspace,
      minimised: solving.windows
        .filter(({ isMinimised, screen }) => isMinimised && screen === ground.id)
        .map(({ id }) => id),
      elsewhere: solving.windows
        .filter(({ screen, workspace }) => screen !== ground.id || workspace !== solving.atWorkspace)
        .map(({ id }) => id),
      moves: desk.windows.moves,
      hint: hint?.screen === ground.id ? (known?.hint(hint, ground, solving) ?? null) : null,
    };
  },
  parts: ({ list }) => list.map(partOf),
});

function partOf({ id, rect, surface, frame, back, content, isFront }: SceneWindow): ScenePart {
  const { body, title, name } = frame;
  const inside = { x: rect.x + body.x, y: rect.y + body.y };
  return {
    id,
    rect,
    ground: { ...inside, width: body.width, height: body.height },
    surface,
    scale: 1,
    texts: () => [
      ...placedTexts(null, name && isFront ? [name] : [], rect),
      ...placedTexts(null, content.runs, inside),
    ],
    backings: () => [
      ...(title && back
        ? [
            {
              rect: { ...title, x: rect.x + title.x, y: rect.y + title.y },
              colour: back.colour,
              opacity: back.opacity,
            },
          ]
        : []),
      ...content.boxes.map((box) => ({
        rect: { ...box.rect, x: inside.x + box.rect.x, y: inside.y + box.rect.y },
        colour: box.colour,
        opacity: box.opacity,
      })),
    ],
  };
}
