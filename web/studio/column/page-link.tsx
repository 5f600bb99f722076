import { ChevronRight } from 'lucide-react';
import { Suspense, useDeferredValue } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { Section } from '../../ui/section.tsx';
import type { Page } from '../chapters/chapter.ts';

/** The ways to the deeper pages of a chapter, under their headings. */
export function PageLinks({ pages }: { pages: readonly Page[] }) {
  // What is dragged comes before what is said of it here.
  const desk = useDeferredValue(useDesk((state) => state.history?.present));
  if (!desk) return null;
  const headings = [...new Set(pages.flatMap(({ under }) => under ?? []))];
  return headings.map((heading) => (
    <Section key={heading} title={heading}>
      {pages
        .filter(({ under }) => under === heading)
        .map((page) => (
          <PageLink key={page.id} page={page} desk={desk} />
        ))}
    </Section>
  ));
}

function PageLink({ page: { id, title, icon: Icon, note }, desk }: { page: Page; desk: Desk }) {
  return (
    <button
      type="button"
      onClick={() => useView.getState().goToChapter(useView.getState().chapter, id)}
      className="flex h-10 items-center gap-2.5 rounded-lg bg-nap px-3 text-left hover:outline hover:outline-brass/70"
    >
      <Icon size={16} strokeWidth={1.7} className="shrink-0 text-dust" />
      <span className="font-medium">{title}</span>
      <span className="ml-auto truncate text-[12px] text-dust">
        <Suspense>{note?.(desk)}</Suspense>
      </span>
      <ChevronRight size={14} className="shrink-0 text-dust" />
    </button>
  );
}
