import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { strayParts } from '../../../../core/desk/edits/parts.ts';
import { nameOfPart } from '../../../../core/desk/part-names.ts';
import { partsOf } from '../../../../core/desk/parts.ts';
import { partsOn } from '../../../../core/scene/parts.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { useDesk } from '../../../session/desk.ts';
import { editAndSay } from '../../../session/said-undo.ts';

/** Marks the parts of a screen that don't follow what the desk wears, while kits are looked at; a press brings one in. */
export function StraysLayer({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  const strays = new Set(strayParts(desk));
  const names = new Map(partsOf(desk).map((part) => [part.id, nameOfPart(part)]));
  return (
    <div className="pointer-events-none absolute inset-0" data-strays>
      {partsOn(screen)
        .filter(({ id }) => strays.has(id))
        .map(({ id, rect }) => {
          const name = names.get(id) ?? id;
          return (
            <div
              key={id}
              data-stray={id}
              className="absolute rounded-md border border-dashed border-brass/80"
              style={{
                left: rect.x * scale,
                top: rect.y * scale,
                width: rect.width * scale,
                height: rect.height * scale,
              }}
            >
              <button
                type="button"
                title={`${name} does not follow: press to bring it in`}
                aria-label={`${name} does not follow the desk: bring it in`}
                className="pointer-events-auto absolute -top-3 left-1 h-6 rounded-full bg-brass px-2 text-[11.5px] font-medium text-on-brass"
                onClick={() =>
                  editAndSay(named(`Bring in ${name}`, edits.follow([id])), `${name} follows the desk.`)
                }
              >
                bring in
              </button>
            </div>
          );
        })}
    </div>
  );
}
