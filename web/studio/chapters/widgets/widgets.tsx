import { Lock } from 'lucide-react';
import { widgetKinds } from '../../../../core/widgets/list.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { addWidget, titleOfWidget } from '../../acts.ts';
import { FaceCard } from './face-card.tsx';

/** The kinds of widget, and the widgets that are there. */
export function WidgetsChapter() {
  return (
    <>
      {widgetKinds.map((kind) => (
        <Section key={kind.type} title={kind.title} note={kind.summary}>
          <div className="grid grid-cols-2 gap-2">
            {kind.faces.map((face) => (
              <FaceCard
                key={face.id}
                type={kind.type}
                face={face.id}
                canDrag
                onPress={() => addWidget(kind.type, face.id)}
              />
            ))}
          </div>
        </Section>
      ))}
      <p className="mt-2 text-[12px] text-dust">Press a face to add it, or drag it onto the stage.</p>
      <OnThisScreen />
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
