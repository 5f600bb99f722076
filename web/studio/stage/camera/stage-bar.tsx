import { Suspense } from 'react';
import { later } from '../../../later.ts';
import { Maximize, Minus, Plus, SquareSplitHorizontal } from 'lucide-react';
import { useScene } from '../../../session/scene.ts';
import { useStage } from '../../../stores/stage.ts';
import { amongCompared, amongKits, useView } from '../../../stores/view.ts';
import { HOLD_KEY, useComparing } from '../../compare/comparing.ts';
import { usePaging } from '../../ready/paging.ts';
import { IconButton } from '../../../ui/buttons.tsx';
import { commandsById } from '../../commands/commands.ts';

const CoverNote = later(async () => ({ default: (await import('../layers/cover-note.tsx')).CoverNote }));

const arrangeHints = [
  ['Alt', 'pass snaps'],
  ['Shift', 'keep axis'],
  ['L', 'lock'],
  ['Space', 'move along'],
] as const;

const kitHints = [
  ['← →', 'the next'],
  ['Enter', 'wear it'],
  ['Esc', 'leave as it was'],
] as const;

const compareHints = [
  ['← →', 'move the line'],
  [HOLD_KEY, 'held: the other alone'],
] as const;

/** What keys do while the pointer is on the stage, and how near it is. */
export function StageBar({ scale }: { scale: number }) {
  const mode = useView((view) => view.mode);
  const isAmongLooks = useView(amongKits);
  const isCompared = useComparing((state) => state.with !== null);
  const isComparing = useView(amongCompared) && isCompared;
  const isPaging = usePaging(({ pages }) => pages !== null);
  return (
    <div className="flex h-9 shrink-0 items-center gap-4 whitespace-nowrap pl-[22px] pr-3 text-[12px] text-dust">
      <div className="flex min-w-0 flex-1 gap-4 overflow-hidden">
        {mode === 'arrange' && (
          <Suspense>
            <CoverNote />
          </Suspense>
        )}
        {mode === 'arrange' ? (
          (isComparing ? compareHints : isAmongLooks || isPaging ? kitHints : arrangeHints).map(
            ([key, text]) => (
              <span key={key}>
                <kbd className="mr-1.5 font-mono font-semibold text-chalk">{key}</kbd>
                {text}
              </span>
            ),
          )
        ) : (
          <span>
            The pointer uses the desk. <kbd className="mx-1 font-mono font-semibold text-chalk">Esc</kbd> goes
            back to arranging.
          </span>
        )}
      </div>
      <Nearness scale={scale} />
    </div>
  );
}

const run = (id: string) => commandsById.get(id)?.run();

function Nearness({ scale }: { scale: number }) {
  const isWhole = useStage((stage) => stage.near === null);
  const isTogether = useStage((stage) => stage.isTogether);
  const many = useScene(({ scene }) => (scene?.screens.length ?? 1) > 1);
  return (
    <div role="group" aria-label="How near" className="flex items-center">
      {many && (
        <IconButton
          label={isTogether ? 'One screen at a time' : 'All screens side by side'}
          aria-pressed={isTogether}
          className={isTogether ? '!size-7 !text-brass' : '!size-7'}
          onClick={() => run('together')}
        >
          <SquareSplitHorizontal size={15} />
        </IconButton>
      )}
      <IconButton label="Further" className="!size-7" onClick={() => run('further')}>
        <Minus size={14} />
      </IconButton>
      <button
        type="button"
        aria-label={`Shown at ${Math.round(scale * 100)}%: show at 100%`}
        onClick={() => run('one-to-one')}
        className="w-12 rounded-md py-1 text-center font-mono tabular-nums hover:bg-nap hover:text-chalk"
      >
        {Math.round(scale * 100)}%
      </button>
      <IconButton label="Nearer" className="!size-7" onClick={() => run('nearer')}>
        <Plus size={14} />
      </IconButton>
      <IconButton label="Show all" disabled={isWhole} className="!size-7" onClick={() => run('show-all')}>
        <Maximize size={14} />
      </IconButton>
    </div>
  );
}
