import { ChevronLeft } from 'lucide-react';
import { Fragment, Suspense, useDeferredValue, useLayoutEffect, useRef, type ReactNode } from 'react';
import { later } from '../../later.ts';
import { Quiet } from '../../render/quiet-card.tsx';
import { useDesk } from '../../session/desk.ts';
import { chapterTitles, pages, useView, type Chapter } from '../../stores/view.ts';
import { selectedParts, titleOfEdge, titleOfItem, titleOfWidget } from '../acts.ts';
import { EdgeEditor } from './edge-editor.tsx';
import { EdgesChapter } from './edges.tsx';
import { ItemEditor } from './item-editor.tsx';
import { SeveralEditor } from './several.tsx';
import { WidgetEditor } from './widget-editor.tsx';
import { WidgetsChapter } from './widgets.tsx';
import { lookUp } from '../../../core/values/look-up.ts';

/** Chapters that are not the first to be seen come when they are asked for. */
const BackdropChapter = later(() => import('./backdrop/backdrop.tsx'));
const PaletteChapter = later(() => import('./palette/palette.tsx'));
const LookChapter = later(() => import('./look/look.tsx'));

/** The one column: a chapter, a part of it, a part of that. The crumbs lead back. */
export function Column() {
  const chapter = useView((view) => view.chapter);
  const page = useView((view) => view.page);
  const entry = useView((view) => view.entry);
  // While a part is taken and dragged the stage comes first; the column follows when there is time.
  const selection = useDeferredValue(useView((view) => view.selection));
  const desk = useDeferredValue(useDesk((state) => state.history?.present));
  const aside = useRef<HTMLElement>(null);
  const place = [chapter, page, entry, ...selection].join(' ');
  // Every page is read from its top.
  useLayoutEffect(() => {
    if (aside.current) aside.current.scrollTop = 0;
  }, [place]);
  if (!desk) return null;
  const { widgets, edge, item } = selectedParts(desk, selection);
  const [widget] = widgets;

  let crumbs: Crumb[] = [];
  let title = chapterTitles[chapter];
  let body: ReactNode = <ChapterRoot chapter={chapter} />;
  if (item) {
    crumbs = [
      chapterCrumb('edges'),
      { title: titleOfEdge(item.edge), go: () => useView.getState().select([item.edge.id]) },
    ];
    title = titleOfItem(item.item);
    body = <ItemEditor key={item.item.id} item={item.item} edge={item.edge} index={item.index} />;
  } else if (edge) {
    crumbs = [chapterCrumb('edges')];
    title = titleOfEdge(edge);
    body = <EdgeEditor key={edge.id} edge={edge} />;
  } else if (widget && widgets.length === 1) {
    crumbs = [chapterCrumb('widgets')];
    title = titleOfWidget(widget);
    body = <WidgetEditor key={widget.id} widget={widget} />;
  } else if (widgets.length > 1) {
    crumbs = [chapterCrumb('widgets')];
    title = `${widgets.length} widgets`;
    body = <SeveralEditor widgets={widgets} />;
  } else if (page !== null) {
    crumbs = [chapterCrumb(chapter)];
    title = lookUp(pages[chapter] as Record<string, string>, page) ?? title;
  } else if (entry !== null) {
    crumbs = [
      chapterCrumb('backdrop'),
      { title: 'Rotation', go: () => useView.getState().goToBackdrop(useView.getState().backdrop) },
    ];
    title = 'One of the rotation';
  }
  return (
    <aside
      ref={aside}
      aria-label="Settings"
      className="min-h-0 overflow-y-auto overflow-x-hidden border-r border-pit bg-velvet px-[18px] pb-8 pt-4"
    >
      <Crumbs crumbs={crumbs} />
      <h2 className="mb-4 font-display text-[26px] leading-tight [overflow-wrap:anywhere]">{title}</h2>
      <Quiet of={title} instead={(error) => <BrokenPage error={error} />}>
        <Suspense fallback={<p className="text-dust">One moment…</p>}>{body}</Suspense>
      </Quiet>
    </aside>
  );
}

function ChapterRoot({ chapter }: { chapter: Chapter }) {
  switch (chapter) {
    case 'backdrop':
      return <BackdropChapter />;
    case 'palette':
      return <PaletteChapter />;
    case 'look':
      return <LookChapter />;
    case 'edges':
      return <EdgesChapter />;
    case 'widgets':
      return <WidgetsChapter />;
  }
}

function BrokenPage({ error }: { error: Error }) {
  return (
    <p role="alert" data-quiet className="rounded-lg bg-pit p-3 text-dust">
      This page can&rsquo;t be shown ({error.message}). The desk is untouched: go on from another page.
    </p>
  );
}

interface Crumb {
  title: string;
  go: () => void;
}

function chapterCrumb(chapter: Chapter): Crumb {
  return { title: chapterTitles[chapter], go: () => useView.getState().goToChapter(chapter) };
}

function Crumbs({ crumbs }: { crumbs: readonly Crumb[] }) {
  const last = crumbs.at(-1);
  if (!last) return null;
  return (
    <nav aria-label="Crumbs" className="mb-1.5 flex items-center gap-1.5 text-dust">
      <button
        type="button"
        aria-label={`Back to ${last.title}`}
        onClick={last.go}
        className="-ml-1.5 rounded-md p-1 hover:bg-nap hover:text-chalk"
      >
        <ChevronLeft size={15} />
      </button>
      {crumbs.map((crumb, index) => (
        <Fragment key={crumb.title}>
          {index > 0 && <span aria-hidden>/</span>}
          <button type="button" onClick={crumb.go} className="hover:text-chalk">
            {crumb.title}
          </button>
        </Fragment>
      ))}
    </nav>
  );
}
