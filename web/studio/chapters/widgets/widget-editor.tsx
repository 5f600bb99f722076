import { named } from '../../../../core/desk/edits/edit.ts';
import { BringToFront, Copy, SendToBack, Trash2 } from 'lucide-react';
import { memo, useMemo } from 'react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { WidgetFrame, type Widget } from '../../../../core/desk/shapes/widgets.ts';
import { fetchedFor } from '../../../../core/sources/from-outside.ts';
import { readOrigin } from '../../../../core/sources/outside.ts';
import { SIMULATED } from '../../../../core/sources/source.ts';
import { widgetKindOf } from '../../../../core/widgets/list.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Fold } from '../../../ui/fold.tsx';
import { PickSome } from '../../../ui/pick-some.tsx';
import { Section } from '../../../ui/section.tsx';
import { OfPart } from '../../form/of-part.ts';
import { Fields, GroupedFields } from '../../form/form.tsx';
import { duplicateSelection, orderSelection, removeSelection } from '../../parts/acts.ts';
import { copyDress, dressKind } from '../../parts/dress.ts';
import { columnTools } from '../../kinds/in-column.tsx';
import { FaceCard } from './face-card.tsx';
import { FinishSection } from '../../column/finish-section.tsx';
import { FeedState } from './outside/state.tsx';
import { PlaceSection } from './place-section.tsx';

type Change = Partial<Pick<Widget, 'face' | 'locked' | 'clicksThrough' | 'workspaces' | 'shows'>>;

function set(id: string, label: string, change: Change): void {
  useDesk.getState().edit(named(label, edits.setWidgets([id], change)));
}

/** Everything about one widget. Each section is given only what it shows: a drag draws just the place anew. */
export function WidgetEditor({ widget }: { widget: Widget }) {
  const { id, type, face, options, locked, clicksThrough, finish, workspaces, shows } = widget;
  const ids = useMemo(() => [id], [id]);
  const owns = useMemo(() => [finish], [finish]);
  const More = columnTools.get(type)?.Section;
  return (
    <>
      <Tools />
      <Faces key={id} id={id} type={type} face={face} options={options} />
      <Readings id={id} type={type} face={face} options={options} />
      {More && <More face={face} options={options} />}
      <ReadFrom type={type} face={face} options={options} />
      <PlaceSection widget={widget} />
      <Shown id={id} shows={shows} on={workspaces} />
      <Hold id={id} locked={locked} clicksThrough={clicksThrough} />
      <FinishSection ids={ids} owns={owns} />
      <Alike widget={widget} />
    </>
  );
}

const Tools = memo(function Tools() {
  return (
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
  );
});

type KindProps = Pick<Widget, 'id' | 'type' | 'face' | 'options'>;

/** The face that it has; the others are out of the way until they are asked for. */
const Faces = memo(function Faces({ id, type, face, options }: KindProps) {
  const { faces } = widgetKindOf(type);
  const now = faces.find((one) => one.id === face);
  return (
    <Fold label="Face" value={now?.title ?? face} note={`all ${faces.length}`}>
      {() => (
        <div className="grid grid-cols-2 gap-2" role="group" aria-label="Faces">
          {faces.map((other) => (
            <FaceCard
              key={other.id}
              type={type}
              face={other.id}
              options={options}
              isChosen={other.id === face}
              onPress={() => set(id, 'Face', { face: other.id })}
            />
          ))}
        </div>
      )}
    </Fold>
  );
});

const Readings = memo(function Readings({ id, type, face, options }: KindProps) {
  const { turn, endGesture } = useDesk.getState();
  const kind = widgetKindOf(type);
  const of = useMemo(() => ({ part: id, item: null }), [id]);
  return (
    <OfPart value={of}>
      <GroupedFields
        rest={kind.needs(options, face).length > 0 ? 'Readings' : 'What it shows'}
        schema={kind.options}
        values={options}
        face={face}
        adders={columnTools.get(type)?.adders}
        onTurn={(change, label) => turn(named(label, edits.setWidgetOptions(id, change)))}
        onEnd={endGesture}
      />
    </OfPart>
  );
});

/** Where its readings come from, and how old they are; nothing where they are worked out here. */
const ReadFrom = memo(function ReadFrom({ type, face, options }: Omit<KindProps, 'id'>) {
  const outside = useDesk((state) => state.history?.present.sources.outside);
  const needs = widgetKindOf(type).needs(options, face);
  const from = needs.flatMap(
    ({ source, origin = SIMULATED }): readonly { source: string; origin: string }[] =>
      origin !== SIMULATED ? [{ source, origin }] : outside ? fetchedFor(source, outside) : [],
  );
  if (from.length === 0) return null;
  return (
    <Section title="Read from">
      {from.map(({ source, origin }) => (
        <div key={`${source} ${origin}`}>
          <p className="truncate">{readOrigin(origin)?.address ?? 'This machine'}</p>
          <FeedState source={source} origin={origin} />
        </div>
      ))}
    </Section>
  );
});

/** When it is there, and where. */
const Shown = memo(function Shown({
  id,
  shows,
  on,
}: {
  id: string;
  shows: Widget['shows'];
  on: readonly string[];
}) {
  const { turn, endGesture } = useDesk.getState();
  return (
    <Section title="Visibility">
      <Fields
        schema={WidgetFrame}
        values={{ shows }}
        only={['shows']}
        onTurn={(change) => turn(named('Visibility', edits.setWidgets([id], change)))}
        onEnd={endGesture}
      />
      <ShownOn id={id} on={on} />
    </Section>
  );
});

/** On which workspaces it is shown: on all, or on those that are pressed. */
function ShownOn({ id, on }: { id: string; on: readonly string[] }) {
  const all = useDesk((state) => state.history?.present.workspaces) ?? [];
  if (all.length < 2) return null;
  return (
    <PickSome
      title="On workspaces"
      label="Shown on"
      things={all}
      chosen={on}
      none={{ note: 'every one', back: 'every workspace' }}
      // All of them is the same as no choice.
      onChange={(next) => set(id, 'Workspaces', { workspaces: next.length === all.length ? [] : next })}
    />
  );
}

/** Gives what it looks like to others. */
function Alike({ widget }: { widget: Widget }) {
  const count = useDesk(
    ({ history }) => history?.present.widgets.filter(({ type }) => type === widget.type).length ?? 0,
  );
  return (
    <div className="mt-3 flex flex-wrap gap-1.5">
      <Button onClick={copyDress}>Copy the style</Button>
      {count > 1 && <Button onClick={() => dressKind(widget)}>All {count} of its kind like this</Button>}
    </div>
  );
}

const Hold = memo(function Hold({
  id,
  locked,
  clicksThrough,
}: Pick<Widget, 'id' | 'locked' | 'clicksThrough'>) {
  return (
    <Section title="Locking">
      <Fields
        schema={WidgetFrame}
        values={{ locked, clicksThrough }}
        only={['locked', 'clicksThrough']}
        onTurn={(change) => set(id, holdTitle(change), change)}
        onEnd={() => undefined}
      />
    </Section>
  );
});

function holdTitle({ locked }: Change): string {
  return locked === undefined ? 'Clicks' : locked ? 'Lock' : 'Unlock';
}
