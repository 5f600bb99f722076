import { named, type Edit } from '../../../core/desk/edits/edit.ts';
import { useEffect, useState } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { enough, type Judgement } from '../../../core/legibility/judge.ts';
import type { Mend } from '../../../core/legibility/mends.ts';
import { useDesk } from '../../session/desk.ts';
import { findMends } from '../../stores/legibility.ts';

export function keyOf({ part, item, text, isShown }: Judgement): string {
  return `${part} ${item ?? ''} ${text} ${isShown}`;
}

/** What would mend it, tried on the desk beforehand. */
export function Mends({ judgement, onDone }: { judgement: Judgement; onDone?: () => void }) {
  const desk = useDesk((state) => state.history?.present);
  const [found, setFound] = useState<{ key: string; mends: Mend[] } | null>(null);
  const key = `${keyOf(judgement)} ${judgement.contrast}`;
  const isFine = enough(judgement) >= 1;
  useEffect(() => {
    if (isFine) return;
    let isStale = false;
    void findMends(judgement).then((mends) => {
      if (!isStale) setFound({ key, mends });
    });
    return () => {
      isStale = true;
    };
    // Asked again when the text or its contrast has changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, isFine]);
  // Closed by a key while one is pointed at, nothing leaves it: what is only shown goes all the same.
  useEffect(() => dropShown, []);
  const where = [
    `${judgement.half} half`,
    judgement.entry && 'one of the rotation',
    desk && desk.screens.length > 1 && desk.screens.find(({ id }) => id === judgement.screen)?.name,
  ]
    .filter(Boolean)
    .join(', ');
  const isKnown = found?.key === key;
  return (
    <div className="grid gap-1 px-2 text-[12px]">
      <p className="text-dust">
        Worst in the {where}; needs {judgement.needs}:1.
      </p>
      {!isFine && !isKnown && <p className="text-dust">Trying what would help…</p>}
      {!isFine && isKnown && found.mends.length === 0 && (
        <p className="text-rust">No single change is enough.</p>
      )}
      {!isFine &&
        isKnown &&
        found.mends.map((mend) => (
          <button
            key={mend.id}
            type="button"
            onClick={() => {
              apply(mend);
              onDone?.();
            }}
            onPointerEnter={() => tryOn(mend)}
            onPointerLeave={dropShown}
            className="flex justify-between gap-2 rounded-md bg-pit px-2 py-1.5 text-left text-brass hover:text-chalk"
          >
            {mend.title}
            <span className="font-mono text-moss">{(mend.reaches * judgement.needs).toFixed(1)}:1</span>
          </button>
        ))}
    </div>
  );
}

export function editOfMend({ title, change }: Mend): Edit {
  switch (change.kind) {
    case 'finish':
      return named(title, edits.setFinish([change.part], change.finish));
    case 'options':
      return named(
        title,
        change.item === null
          ? edits.setWidgetOptions(change.part, change.options)
          : edits.setItems([change.item], change.options),
      );
    case 'place':
      return named(title, edits.placeWidget(change.part, change.place));
    case 'adjust':
      return named(title, edits.setAdjust(change.backdrop, change.adjust));
  }
}

function apply(mend: Mend): void {
  useDesk.getState().edit(editOfMend(mend));
}

/** Gives back the desk as it is, where a mend is only shown on it: what somebody drags goes on. */
function dropShown(): void {
  const { history, dropGesture } = useDesk.getState();
  if (history?.gesture?.isOnlyShown) dropGesture();
}

function tryOn(mend: Mend): void {
  useDesk.getState().show(editOfMend(mend));
}
