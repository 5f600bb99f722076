import { LayoutDashboard } from 'lucide-react';
import { widgetKinds } from '../../../../core/widgets/list.ts';
import { later } from '../../../later.ts';
import { titleOfWidget } from '../../../../core/desk/part-names.ts';
import { addWidget, countOf, selectedParts } from '../../parts/acts.ts';
import { selectedGroup } from '../../parts/groups.ts';
import type { Command } from '../../commands/command.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';

const WidgetsChapter = later(async () => ({ default: (await import('./widgets.tsx')).WidgetsChapter }));
const WidgetEditor = later(async () => ({ default: (await import('./widget-editor.tsx')).WidgetEditor }));
const SeveralEditor = later(async () => ({
  default: (await import('../../column/several.tsx')).SeveralEditor,
}));

export const widgets: Chapter = {
  id: 'widgets',
  title: 'Widgets',
  icon: LayoutDashboard,
  also: 'applets gadgets desklets',
  pages,
  Root: WidgetsChapter,
  inside(desk, { selection }) {
    const chosen = selectedParts(desk, selection);
    const [widget] = chosen.widgets;
    if (!widget) return null;
    const count = countOf(chosen);
    if (count === 1)
      return { title: titleOfWidget(widget), body: <WidgetEditor key={widget.id} widget={widget} /> };
    const sort = count === chosen.widgets.length ? 'widgets' : 'parts';
    return {
      title: selectedGroup(selection)?.name ?? `${count} ${sort}`,
      body: <SeveralEditor desk={desk} chosen={chosen} />,
    };
  },
  commands: widgetKinds.flatMap((kind) =>
    kind.faces.map((face): Command => ({
      id: `add-${kind.type}-${face.id}`,
      title: `Add ${kind.title.toLowerCase()}, ${face.title.toLowerCase()}`,
      also: kind.also,
      group: 'Add',
      run: () => addWidget(kind.type, face.id),
    })),
  ),
};
