import { Layers2 } from 'lucide-react';
import { coveredOn } from '../../../../core/findings/covered/covered.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';

/** Says at once that an edge stands over something, with what helps. Null when none does, or while something moves. */
export function CoverNote() {
  const screen = useScreenInView();
  // Which parts there are may change without the screen.
  useDesk(({ history }) => history?.present.edges);
  const isMoving = useDesk(({ history }) => history?.gesture !== null);
  const desk = presentDesk();
  if (!screen || !desk || isMoving) return null;
  const [first, ...others] = coveredOn(screen, desk);
  const [mend] = first?.mends ?? [];
  if (!first || !mend) return null;
  return (
    <span role="status" data-cover className="flex min-w-0 items-center gap-2 text-rust">
      <Layers2 size={14} className="shrink-0" />
      <span className="truncate">
        {first.told}
        {others.length > 0 && `, and ${others.length} more`}
      </span>
      <button
        type="button"
        className="shrink-0 text-brass hover:underline"
        onClick={() => useDesk.getState().edit(mend.edit)}
      >
        {mend.title}
      </button>
    </span>
  );
}
