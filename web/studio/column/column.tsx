import { ChevronLeft } from 'lucide-react';
import {
  Fragment,
  Suspense,
  useDeferredValue,
  useEffect,
  useLayoutEffect,
  useRef,
  type RefObject,
} from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { Quiet } from '../../render/kit/quiet-card.tsx';
import { useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import type { Chapter, Crumb } from '../chapters/chapter.ts';
import { goBack, keepTrail, useTrail, type Spot } from './trail.ts';
import { NextStep } from './next-step.tsx';
import { chapterOf } from '../chapters/list.ts';
import { pageIn, titleOf, whereIs } from './where.ts';

const REST_MS = 80;

/** The one column: a chapter, a part of it, a part of that. The crumbs lead back. */
export function Column() {
  const chapter = chapterOf(useView((view) => view.chapter));
  const page = useView((view) => view.page);
  const spot = useView((view) => view.spot);
  // While a part is taken and dragged the stage comes first; the column follows when there is time.
  const chosen = useView((view) => view.selection);
  const selection = useDeferredValue(chosen);
  const desk = useDeferredValue(useDesk((state) => state.history?.present));
  const aside = useRef<HTMLElement>(null);
  const past = useTrail((state) => state.past);
  useEffect(keepTrail, []);
  const place = [chapter.id, page, spot, ...selection].join(' ');
  // Every page is read from its top.
  useLayoutEffect(() => {
    if (aside.current) aside.current.scrollTop = 0;
  }, [place]);
  const heading = useRef<HTMLHeadingElement>(null);
  if (!desk) return null;
  const { owner, inside } = whereIs(desk, chapter, { selection, page, spot });
  const title = titleOf(owner, inside, page);
  const back = past.at(-1);
  // Where one came from, wherever what is open belongs.
  const from = back && { title: titleAt(desk, back), go: () => goBack(back) };
  const crumbs = title === owner.title ? [] : [crumbOf(owner), ...(inside?.crumbs ?? [])];
  return (
    <aside
      ref={aside}
      aria-label="Settings"
      className="min-h-0 scroll-pt-24 overflow-y-auto overflow-x-hidden border-r border-pit bg-velvet px-[18px] pb-8"
    >
      <header className="sticky top-0 z-20 -mx-[18px] mb-1 bg-velvet px-[18px] pb-3 pt-4">
        <Crumbs crumbs={crumbs} from={from} />
        <h2
          ref={heading}
          tabIndex={-1}
          className="line-clamp-2 font-display text-[26px] leading-tight outline-none [overflow-wrap:anywhere]"
        >
          {title}
        </h2>
      </header>
      <Quiet of={title} instead={(error) => <BrokenPage error={error} />}>
        <Suspense fallback={<p className="text-dust">One moment…</p>}>
          {inside?.body ?? <Body chapter={owner} page={page} />}
          {page === null && !inside && <NextStep desk={desk} chapter={owner} />}
          <FocusGoesOn to={heading} at={place} beside={chosen} />
        </Suspense>
      </Quiet>
    </aside>
  );
}

/**
 * What had the focus may be gone with the page: it goes on to where the next one starts. That is once all of the page
 * is there, so that the next press of Tab finds what follows.
 */
function FocusGoesOn(props: { to: RefObject<HTMLElement | null>; at: string; beside: readonly string[] }) {
  const { to, at, beside } = props;
  useLayoutEffect(() => {
    function goOn() {
      if (document.activeElement === document.body && useView.getState().sheet === null)
        to.current?.focus({ preventScroll: true });
    }
    goOn();
    // The stage may lose what had the focus a little later.
    const timer = setTimeout(goOn, REST_MS);
    return () => clearTimeout(timer);
  }, [to, at, beside]);
  return null;
}

/** A page of a chapter, or its first one; a page has the desk as it is now, so that what is typed there is never behind. */
function Body({ chapter, page }: { chapter: Chapter; page: string | null }) {
  const desk = useDesk((state) => state.history?.present);
  const open = pageIn(chapter, page);
  if (!open) return <chapter.Root />;
  return desk ? <open.Body key={open.id} desk={desk} /> : null;
}

function titleAt(desk: Desk, spot: Spot): string {
  const { owner, inside } = whereIs(desk, chapterOf(spot.chapter), spot);
  return titleOf(owner, inside, spot.page);
}

function BrokenPage({ error }: { error: Error }) {
  return (
    <p role="alert" data-quiet className="rounded-lg bg-pit p-3 text-dust">
      This page can&rsquo;t be shown ({error.message}). The desk is untouched: go on from another page.
    </p>
  );
}

function crumbOf({ id, title }: Chapter): Crumb {
  return { title, go: () => useView.getState().goToChapter(id) };
}

function Crumbs({ crumbs, from }: { crumbs: readonly Crumb[]; from: Crumb | undefined }) {
  const last = crumbs.length > 0 ? (from ?? crumbs.at(-1)) : undefined;
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
