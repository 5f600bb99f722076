import type { Desk } from '../../../core/desk/desk.ts';
import { nameOfPart, titleOfEdge } from '../../../core/desk/part-names.ts';
import { partOf } from '../../../core/desk/parts.ts';
import { usesOf, type Use } from '../../../core/desk/used-by.ts';
import type { ReferenceTo } from '../../../core/values/references.ts';
import { useView } from '../../stores/view.ts';
import { Button } from '../../ui/buttons.tsx';
import { Section } from '../../ui/section.tsx';
import { chapterOf } from '../chapters/list.ts';

/** Where something of the desk is used; each leads there. */
export function UsedBy({
  desk,
  to,
  id,
  isOnlyWhereUsed = false,
}: {
  desk: Desk;
  to: ReferenceTo;
  id: string;
  /** Nothing is said where nothing uses it. */
  isOnlyWhereUsed?: boolean;
}) {
  const uses = usesOf(desk, to, id);
  if (isOnlyWhereUsed && uses.length === 0) return null;
  return (
    <Section title="Used by" note={uses.length === 0 ? 'nothing on this desk' : undefined}>
      {uses.length > 0 && (
        <ul className="flex flex-wrap gap-1.5">
          {uses.map((use) => (
            <li key={`${use.section} ${use.part ?? use.page}`}>
              <Button onClick={() => goTo(use)}>{titleOf(desk, use)}</Button>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}

function goTo({ section, part, page }: Use): void {
  const view = useView.getState();
  if (part) view.select([part], section);
  else view.goToChapter(...pageOf({ section, page }));
}

/** Where it is set, of what is no part: a chapter, and a page of it. */
export function pageOf({ section, page }: Pick<Use, 'section' | 'page'>): [chapter: string, page: string] {
  return section === 'desktopIcons' ? ['windows', 'icons'] : [section, page];
}

function titleOf(desk: Desk, use: Use): string {
  if (use.part) return capitalised(nameAt(desk, use.part));
  const [chapter, page] = pageOf(use);
  return chapterOf(chapter).pages.find(({ id }) => id === page)?.title ?? page;
}

/** A part as one of several; an item by where it stands. */
function nameAt(desk: Desk, id: string): string {
  const part = partOf(desk, id);
  if (part) return nameOfPart(part);
  const edge = desk.edges.find(({ items }) => items.some((item) => item.id === id));
  return edge ? `${titleOfEdge(edge)} at the ${edge.side}` : id;
}

function capitalised(text: string): string {
  return text.replace(/^the (.)/, (_, letter: string) => letter.toUpperCase());
}
