import { Lock } from 'lucide-react';
import { PageLinks } from '../../column/page-link.tsx';
import { Gallery } from './gallery.tsx';
import { pages } from './pages.tsx';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { titleOfWidget } from '../../../../core/desk/part-names.ts';

/** The kinds of widget, and the widgets that are there. */
export function WidgetsChapter() {
  return (
    <>
      <Gallery />
      <OnThisScreen />
      <div className="mt-5" />
      <PageLinks pages={pages} />
    </>
  );
}

function OnThisScreen() {
  const screen = useScreenInView();
  const document = useDesk((state) => state.history?.present.widgets) ?? [];
  const here = new Set(screen?.widgets.map(({ id }) => id));
  const widgets = document.filter(({ id }) => here.has(id)).toReversed();
  return (
    <Section title="On this screen" note={widgets.length > 1 ? 'the first stands above' : undefined}>
      {widgets.length === 0 && <p className="text-dust">No widget yet.</p>}
      {widgets.map((widget) => (
        <button
          key={widget.id}
          type="button"
          onClick={() => useView.getState().select([widget.id], 'widgets')}
          className="flex h-8 items-center justify-between gap-2 rounded-lg px-2 text-left hover:bg-nap"
        >
          <span className="truncate">
            {titleOfWidget(widget)} <span className="text-dust">{widget.face}</span>
          </span>
          {widget.locked && <Lock size={13} className="text-dust" aria-label="locked" />}
        </button>
      ))}
    </Section>
  );
}
