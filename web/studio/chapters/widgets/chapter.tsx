import { LayoutDashboard } from 'lucide-react';
import { widgetKinds } from '../../../../core/widgets/list.ts';
import { later } from '../../../later.ts';
import { titleOfWidget } from '../../../../core/desk/part-names.ts';
import { addWidget, selectedParts } from '../../parts/acts.ts';
import { selectedGroup } from '../../parts/groups.ts';
import type { Command } from '../../commands/command.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';

const WidgetsChapter = later(async () => ({ default: (await import('./widgets.tsx')).WidgetsChapter }));
const WidgetEditor = later(async () => ({ default: (await import('./widget-editor.tsx')).WidgetEditor }));
const SeveralEditor = later(async () => ({ default: (await import('./several.tsx')).SeveralEditor }));

export const widgets: Chapter = {
  id: 'widgets',
  title: 'Widgets',
  icon: LayoutDashboard,
  also: 'applets gadgets desklets',
  pages,
  Root: WidgetsChapter,
  inside(desk, { selection }) {
    const chosen = selectedParts(desk, selection).widgets;
    const [widget] = chosen;
    if (!widget) return null;
    return chosen.length === 1
      ? { title: titleOfWidget(widget), body: <WidgetEditor key={widget.id} widget={widget} /> }
      : {
          title: selectedGroup(selection)?.name ?? `${chosen.length} widgets`,
          body: <SeveralEditor widgets={chosen} />,
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
