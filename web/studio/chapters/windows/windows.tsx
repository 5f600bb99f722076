import {
  Columns3,
  Contrast,
  Grid3x3,
  Keyboard,
  Layers,
  Minus,
  MonitorDot,
  Move,
  RectangleEllipsis,
  Scale,
  Type,
} from 'lucide-react';
import type { Desk } from '../../../../core/desk/desk.ts';
import type { WindowForm, Windows } from '../../../../core/windows/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { PageLink } from '../../column/page-link.tsx';
import { DifferenceNote } from './difference.tsx';
import { FormPage } from './form-page.tsx';
import { OpenWindows } from './open-windows.tsx';
import { formTitles } from './pages.ts';
import { HabitsPage } from './habits-page.tsx';
import { ShortcutsPage } from './shortcuts-page.tsx';
import { WindowFinishPage } from './window-finish-page.tsx';

/** Windows: what frames them, where they go, and what stands around them. */
export default function WindowsChapter() {
  const page = useView((view) => view.page);
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  if (page === 'finish') return <WindowFinishPage desk={desk} />;
  if (page === 'habits') return <HabitsPage desk={desk} />;
  if (page === 'shortcuts') return <ShortcutsPage desk={desk} />;
  if (isForm(page)) return <FormPage key={page} form={page} desk={desk} />;
  const { windows } = desk;
  return (
    <>
      <OpenWindows desk={desk} />
      <Section title="Frame">
        <PageLink page="title" icon={Type} title="Title" note={titleNote(windows)} />
        <PageLink page="lines" icon={Minus} title="Line and border" note={linesNote(windows)} />
        <PageLink page="buttons" icon={RectangleEllipsis} title="Buttons" note={buttonsNote(windows)} />
        <PageLink page="finish" icon={Layers} title="Finish" note={windows.finish?.kind ?? 'as the desk’s'} />
        <PageLink page="behind" icon={Contrast} title="Not in front" note={<DifferenceNote desk={desk} />} />
      </Section>
      <Section title="How they stand">
        <PageLink
          page="gaps"
          icon={Columns3}
          title="Tiling"
          note={`${windows.gaps.outer} px, ${windows.gaps.inner} between`}
        />
        <PageLink page="moves" icon={Move} title="Moves" note={movesNote(windows)} />
        <PageLink page="habits" icon={Scale} title="Habits" note={habitsNote(windows)} />
      </Section>
      <Section title="Around them">
        <PageLink page="workspaces" icon={MonitorDot} title="Workspaces" note={workspacesNote(desk)} />
        <PageLink page="icons" icon={Grid3x3} title="Desktop icons" note={windows.icons.shown} />
        <PageLink
          page="shortcuts"
          icon={Keyboard}
          title="Shortcuts"
          note={String(desk.keys.filter(({ shortcut }) => shortcut).length)}
        />
      </Section>
    </>
  );
}

function isForm(page: string | null): page is WindowForm {
  return page !== null && Object.keys(formTitles).includes(page);
}

const alignments = { left: 'left', centre: 'middle', right: 'right' } as const;

function titleNote({ title }: Windows): string {
  return title.shown === 'never' ? 'never' : `${title.height} px, ${alignments[title.align]}`;
}

function linesNote({ lines }: Windows): string {
  const line = lines.line > 0 ? `${lines.line} px` : 'no line';
  return lines.border > 0 ? `${line}, border ${lines.border} px` : line;
}

function buttonsNote({ buttons }: Windows): string {
  return buttons.list.length === 0 ? 'none' : `${buttons.list.length} ${buttons.shape}, ${buttons.side}`;
}

function movesNote({ moves }: Windows): string {
  const moving = Object.values(moves).filter(({ way }) => way !== 'none');
  return moving.length === 0 ? 'none' : `up to ${Math.max(...moving.map(({ ms }) => ms))} ms`;
}

function habitsNote({ habits }: Windows): string {
  return habits.length === 0 ? 'none' : String(habits.length);
}

function workspacesNote({ workspaces, windows }: Desk): string {
  return `${workspaces.length} in a ${windows.workspaces.arranged}`;
}
