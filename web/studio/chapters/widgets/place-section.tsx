import { whereaboutsOf } from '../../../../core/scene/parts.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { WidgetFrame, type Widget } from '../../../../core/desk/shapes/widgets.ts';
import { Place, type Hanging } from '../../../../core/values/place.ts';
import { useDesk } from '../../../session/desk.ts';

import { currentScreen } from '../../../stores/screen.ts';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { FormPart } from '../../form/place-controls.tsx';
import { MARGIN } from '../../../../core/arrange/free-spot.ts';

/** What a widget hangs from, how far from it, and how large it is. */
export function PlaceSection({ widget }: { widget: Widget }) {
  const { turn, endGesture } = useDesk.getState();
  const set = (change: object, label: string) => turn(named(label, edits.setWidgets([widget.id], change)));

  /** What it hangs from changes, and it stays where it is. */
  function hang(next: Hanging) {
    const screen = currentScreen();
    if (screen) turn(edits.hangWidget(widget.id, next, whereaboutsOf(screen)));
  }
  return (
    <Section title="Place" note={`snaps ${MARGIN} px from edges`}>
      <FormPart.Provider value={widget.id}>
        <Fields
          schema={Place}
          values={widget.place}
          onTurn={({ hangs, ...offset }, label) =>
            hangs ? hang(hangs as Hanging) : set({ place: { ...widget.place, ...offset } }, label)
          }
          onEnd={endGesture}
        />
      </FormPart.Provider>
      <Fields
        schema={WidgetFrame}
        values={{ scale: widget.scale }}
        only={['scale']}
        onTurn={set}
        onEnd={endGesture}
      />
      {widget.place.hangs.from === 'part' && 'width' in widget.options && (
        <Fields
          schema={WidgetFrame}
          values={{ followsWidth: widget.followsWidth }}
          only={['followsWidth']}
          onTurn={set}
          onEnd={endGesture}
        />
      )}
    </Section>
  );
}
