import type { SceneWindow } from '../scene.ts';
import type { ScenePart } from '../part.ts';
import { shareUnchanged } from '../../values/share.ts';
import { sameFields, sameList } from '../memory.ts';
import { windowSolver } from '../windows/learn.ts';
import { defineSceneSection } from './section.ts';
import { windowButtonTitles } from '../../values/window-buttons.ts';
import { placedSigns, placedTexts } from './texts.ts';

/** The windows that are seen on a screen, and the place that one would take which is being moved. */
export const windows = defineSceneSection({
  key: 'windows',
  remembers: true,
  solve(context, solving) {
    const {
      desk,
      conditions: { windowHint: hint },
    } = solving;
    const known = windowSolver(solving.library);
    const { memory } = context;
    const before = memory.windows;
    memory.windows = new Map();
    // Only where there is a window at all.
    const applications = new Map(
      solving.windows.length > 0 ? desk.applications.map((one) => [one.id, one]) : [],
    );
    const list = solving.windows.flatMap((window) => {
      const isHere =
        window.screen === context.id && window.workspace === solving.atWorkspace && !window.isMinimised;
      const application = isHere ? applications.get(window.application) : undefined;
      if (!known || !application) return [];
      return [known.window(window, application, context, solving, before.get(window.id)).scene];
    });
    const last = memory.screen?.windows;
    const minimised = solving.windows.filter(
      ({ isMinimised, screen }) => isMinimised && screen === context.id,
    );
    const elsewhere = solving.windows.filter(
      ({ screen, workspace }) => screen !== context.id || workspace !== solving.atWorkspace,
    );
    const at = hint?.screen === context.id ? (known?.hint(hint, context, solving) ?? null) : null;
    return sameFields(last, {
      list: sameList(last?.list, list),
      workspace: solving.atWorkspace,
      minimised: sameList(last?.minimised, idsOf(minimised)),
      elsewhere: sameList(last?.elsewhere, idsOf(elsewhere)),
      moves: desk.windows.moves,
      hint: shareUnchanged(last?.hint, at),
    });
  },
  rects: ({ list }) => list,
  parts: ({ list }) => list.map(partOf),
});

const idsOf = (list: readonly { id: string }[]) => list.map(({ id }) => id);

function partOf({ id, rect, surface, frame, back, content, signs, isFront }: SceneWindow): ScenePart {
  const { body, title, name } = frame;
  const inside = { x: rect.x + body.x, y: rect.y + body.y };
  return {
    id,
    rect,
    surfaceRect: { ...inside, width: body.width, height: body.height },
    surface,
    scale: 1,
    texts: () => [
      ...placedTexts(null, name ? [name] : [], rect).map((text) => ({ ...text, isDimmed: !isFront })),
      ...placedTexts(null, content.runs, inside),
    ],
    signs: () =>
      placedSigns(
        null,
        frame.buttons.map((button) => ({
          what: `Its button: ${windowButtonTitles[button.does].toLowerCase()}`,
          rect: button.rect,
          colour: signs,
        })),
        rect,
      ),
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
