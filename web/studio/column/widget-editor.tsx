import { BringToFront, Copy, SendToBack, Trash2 } from 'lucide-react';
import { edits } from '../../../core/desk/edits.ts';
import type { Widget } from '../../../core/desk/schema.ts';
import { widgetKindsByType } from '../../../core/widgets/list.ts';
import { useDesk } from '../../stores/desk.ts';
import { IconButton, Section, SwitchField } from '../../ui/controls.tsx';
import { duplicateSelection, orderSelection, removeSelection } from '../acts.ts';
import { FaceCard } from './face-card.tsx';
import { FinishSection } from './finish-section.tsx';
import { OptionsForm } from './options-form.tsx';
import { PlaceSection } from './place-section.tsx';

/** Everything about one widget. */
export function WidgetEditor({ widget }: { widget: Widget }) {
  const look = useDesk((state) => state.history?.present.look);
  const { edit, turn, endGesture } = useDesk.getState();
  const kind = widgetKindsByType.get(widget.type);
  if (!kind || !look) return null;
  const set = (label: string, change: Partial<Pick<Widget, 'face' | 'locked' | 'clicksThrough'>>) =>
    edit(label, (draft) => edits.setWidgets(draft, [widget.id], change));
  return (
    <>
      <div className="-mt-2 mb-3 flex items-center gap-0.5">
        <IconButton label="Duplicate" onClick={duplicateSelection}>
          <Copy size={15} />
        </IconButton>
        <IconButton label="Bring to the front" onClick={() => orderSelection('front')}>
          <BringToFront size={15} />
        </IconButton>
        <IconButton label="Send to the back" onClick={() => orderSelection('back')}>
          <SendToBack size={15} />
        </IconButton>
        <IconButton label="Remove" onClick={removeSelection} className="ml-auto hover:!text-rust">
          <Trash2 size={15} />
        </IconButton>
      </div>
      <div className="grid grid-cols-2 gap-2" role="group" aria-label="Faces">
        {kind.faces.map((face) => (
          <FaceCard
            key={face.id}
            type={widget.type}
            face={face.id}
            options={widget.options}
            isChosen={face.id === widget.face}
            onPress={() => set('Face', { face: face.id })}
          />
        ))}
      </div>
      <div className="mt-5" />
      <Section title="Readings">
        <OptionsForm
          schema={kind.options}
          options={widget.options}
          face={widget.face}
          roles={look.roles[look.half]}
          onTurn={(change) => turn('Option', (draft) => edits.setWidgetOptions(draft, widget.id, change))}
          onEnd={endGesture}
        />
      </Section>
      <PlaceSection widget={widget} />
      <Section title="Hold">
        <SwitchField
          label="Locked"
          value={widget.locked}
          onChange={(locked) => set(locked ? 'Lock' : 'Unlock', { locked })}
        />
        <SwitchField
          label="Clicks through"
          value={widget.clicksThrough}
          onChange={(clicksThrough) => set('Clicks', { clicksThrough })}
        />
      </Section>
      <FinishSection ids={[widget.id]} own={widget.finish} />
    </>
  );
}
