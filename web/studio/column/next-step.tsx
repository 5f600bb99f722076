import { ArrowRight } from 'lucide-react';
import type { Desk } from '../../../core/desk/desk.ts';
import { partsOf } from '../../../core/desk/parts.ts';
import { useView } from '../../stores/view.ts';
import type { Chapter } from '../chapters/chapter.ts';
import { chapters } from '../chapters/list.ts';

/** What the next chapter gives, for somebody whose desk is still bare. */
const gives: Readonly<Record<string, string>> = {
  palette: 'colours drawn from this backdrop',
  look: 'type, icons and finish',
  edges: 'panels and docks along the sides',
  widgets: 'clocks and readings',
};

/** The way on through the chapters, while nothing stands on the desk yet. */
export function NextStep({ desk, chapter }: { desk: Desk; chapter: Chapter }) {
  const next = chapters[chapters.indexOf(chapter) + 1];
  const given = next && new Map(Object.entries(gives)).get(next.id);
  if (!next || !given || partsOf(desk).length > 0) return null;
  return (
    <button
      type="button"
      onClick={() => useView.getState().goToChapter(next.id)}
      className="mt-6 flex w-full items-center gap-3 rounded-lg border border-brass/40 px-3 py-2 text-left hover:bg-nap"
    >
      <span className="min-w-0 flex-1">
        <span className="block font-medium text-brass">On to {next.title.toLowerCase()}</span>
        <span className="block text-[12px] text-dust">{given}</span>
      </span>
      <ArrowRight size={16} className="text-brass" />
    </button>
  );
}
