import { nanoid } from 'nanoid';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { compositions, type Composition } from '../../../core/desk/compositions.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { edited } from '../../../core/desk/history.ts';
import type { SceneScreen } from '../../../core/scene/scene.ts';
import { Miniature } from '../../render/screen/miniature.tsx';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { IconButton } from '../../ui/buttons.tsx';
import { editAndSay } from '../../session/said-undo.ts';
import { browserKeep } from '../../browser-keep.ts';

const AWAY = 'velvet-ledge:starts-away';
/** Chapters in which parts are added; in the others the backdrop is what one looks at. */
const CHAPTERS = ['edges', 'widgets'];

/** What a bare screen can be started from, each live with the desk's own backdrop. */
export function Starts({ screen }: { screen: SceneScreen }) {
  const [isAway, setAway] = useState(() => browserKeep.getItem(AWAY) !== null);
  const chapter = useView((view) => view.chapter);
  if (isAway || !CHAPTERS.includes(chapter)) return null;
  return (
    <section
      aria-label="To start from"
      data-theme="velvet"
      className="absolute inset-x-0 bottom-4 mx-auto w-fit max-w-[96%] rounded-xl bg-pit/90 px-3 py-2 text-chalk shadow-2xl"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <header className="mb-1.5 flex items-center justify-between gap-4 text-[13px]">
        <p>
          A bare desk.{' '}
          <span className="text-dust">
            {chapter === 'edges' ? 'Add a panel in the column,' : 'Drag a widget here from the column,'} or
            start from one of these.
          </span>
        </p>
        <IconButton
          label="Put these away"
          className="!size-6"
          onClick={() => {
            browserKeep.tryItem(AWAY, 'yes');
            setAway(true);
          }}
        >
          <X size={14} />
        </IconButton>
      </header>
      <div className="grid auto-cols-[minmax(0,136px)] grid-flow-col gap-3">
        {compositions.map((composition) => (
          <Start key={composition.id} composition={composition} screen={screen} />
        ))}
      </div>
    </section>
  );
}

function Start({ composition, screen }: { composition: Composition; screen: SceneScreen }) {
  const desk = useDesk((state) => state.history?.present);
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const sketch = useMemo(() => {
    if (!desk) return null;
    const alone = { ...desk, screens: desk.screens.filter(({ id }) => id === screen.id) };
    const put = putting(composition, alone, screen);
    return edited(alone, put.apply);
  }, [desk, composition, screen]);
  function take() {
    const now = presentDesk();
    if (now) editAndSay(putting(composition, now, screen), `${composition.title}: there to be changed.`);
  }
  return (
    <button
      type="button"
      onClick={take}
      className="min-w-0 rounded-lg text-left hover:outline hover:outline-brass"
    >
      {sketch && <Miniature desk={sketch} moment={minute} half={half} />}
      <span className="mt-1 block truncate px-1 text-[12px]">{composition.title}</span>
    </button>
  );
}

function putting(composition: Composition, desk: Parameters<Composition['make']>[0], screen: SceneScreen) {
  const landing = { screen: screen.id, edge: null, off: 0, newId: () => nanoid(8) };
  return named(composition.title, edits.paste(composition.make(desk, screen), landing));
}
