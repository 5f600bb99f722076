import clsx from 'clsx';
import { halvesIn } from '../../../core/timeline/half/half.ts';
import { enough } from '../../../core/legibility/judge.ts';
import { useDesk } from '../../session/desk.ts';
import { useJudging, useLegibility } from '../../stores/legibility.ts';
import { useView } from '../../stores/view.ts';
import { Row } from '../../ui/section.tsx';

/** How well the weakest text of a part can be read; it leads to what would mend it. */
export function LegibilityRow({ part }: { part: string }) {
  useJudging();
  const worst = useLegibility(({ judgements, isBusy }) =>
    isBusy ? undefined : judgements?.find((one) => one.part === part),
  );
  const halves = useDesk(({ history }) => (history ? halvesIn(history.present.look.half).length : 1));
  const isKnown = useLegibility(({ judgements, isBusy }) => judgements !== null && !isBusy);
  const over = useDesk(({ history }) => {
    const source = history?.present.backdrops.find(({ id }) => id === worst?.backdrop)?.source;
    return source?.kind === 'rotation' ? source.entries.length : 1;
  });
  if (isKnown && !worst) return null;
  return (
    <Row label="Legibility">
      <button
        type="button"
        onClick={() => useView.getState().goToChapter('look', 'legibility')}
        className="flex h-8 min-w-0 flex-1 items-center gap-2.5 rounded-lg bg-pit px-2.5 font-mono text-[12px] hover:outline hover:outline-brass/70"
      >
        {worst ? (
          <>
            <span className={clsx('shrink-0', enough(worst) < 1 ? 'text-rust' : 'text-moss')}>
              {enough(worst) < 1 ? 'Hard to read' : 'Reads well'}
            </span>
            <span className="truncate text-dust">
              {worst.contrast.toFixed(1)}:1, worst of {halves * over}
            </span>
          </>
        ) : (
          <span className="text-dust">looking…</span>
        )}
      </button>
    </Row>
  );
}
