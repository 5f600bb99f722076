import { partsOf } from '../../../../core/desk/parts.ts';
import { rectsOn } from '../../../../core/scene/parts.ts';
import clsx from 'clsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { WidgetFrame, hangingFrom, type Widget } from '../../../../core/desk/sections/widgets.ts';
import { Place, alignments, points, type Hanging, type NinePoint } from '../../../../core/values/place.ts';
import { sides } from '../../../../core/values/geometry.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { currentScreen } from '../../../stores/screen.ts';
import { groundOf } from '../../../session/scene.ts';
import { Row, Section } from '../../../ui/section.tsx';
import { Segmented, SelectField } from '../../../ui/choice.tsx';
import { Fields } from '../../form/form.tsx';
import { nameOfPart } from '../../acts.ts';
import { SNAP_MARGIN } from '../../stage/drag.ts';

const pointTitles: Record<NinePoint, string> = {
  'top-left': 'top left',
  top: 'top',
  'top-right': 'top right',
  left: 'left',
  centre: 'centre',
  right: 'right',
  'bottom-left': 'bottom left',
  bottom: 'bottom',
  'bottom-right': 'bottom right',
};

/** What a widget hangs from, how far from it, and how large it is. */
export function PlaceSection({ widget }: { widget: Widget }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const { hangs } = widget.place;

  function hang(next: Hanging) {
    const screen = currentScreen();
    if (screen) edit(edits.hangWidget(widget.id, next, groundOf(screen)));
  }
  const screenId = currentScreen()?.id ?? '';
  return (
    <Section title="Place" note={`snaps ${SNAP_MARGIN} px from edges`}>
      <Row label="Hangs from">
        <HangsFrom widget={widget} onHang={hang} screen={screenId} />
      </Row>
      {hangs.from !== 'part' ? (
        <Row label="Point">
          <PointPicker value={hangs.point} onChange={(point) => hang({ ...hangs, point })} />
          <span className="text-dust">{pointTitles[hangs.point]}</span>
        </Row>
      ) : (
        <>
          <Row label="Side">
            <SelectField
              label="Side of the neighbour"
              value={hangs.side}
              choices={sides.map((side) => ({
                value: side,
                label: side === 'top' ? 'above it' : side === 'bottom' ? 'below it' : `to its ${side}`,
              }))}
              onChange={(side) => hang({ ...hangs, side })}
            />
          </Row>
          <Row label="Level">
            <Segmented
              label="Level with the neighbour"
              value={hangs.align}
              choices={alignments.map((align) => ({ value: align, label: align }))}
              onChange={(align) => hang({ ...hangs, align })}
            />
          </Row>
        </>
      )}
      <Fields
        schema={Place}
        values={widget.place}
        onTurn={(change, label) =>
          turn(named(label, edits.setWidgets([widget.id], { place: { ...widget.place, ...change } })))
        }
        onEnd={endGesture}
      />
      <Fields
        schema={WidgetFrame}
        values={{ scale: widget.scale }}
        only={['scale']}
        onTurn={(change, label) => turn(named(label, edits.setWidgets([widget.id], change)))}
        onEnd={endGesture}
      />
    </Section>
  );
}

function HangsFrom({
  widget,
  screen,
  onHang,
}: {
  widget: Widget;
  screen: string;
  onHang: (hangs: Hanging) => void;
}) {
  const { hangs } = widget.place;
  const frames = [
    { value: 'free', label: 'the free area' },
    { value: 'screen', label: 'the whole screen' },
  ];
  function choices(isOpen: boolean) {
    if (isOpen) return [...frames, ...neighboursOf(widget)];
    if (hangs.from !== 'part') return frames;
    return neighboursOf(widget, hangs.part);
  }
  return (
    <SelectField
      label="Hangs from"
      value={hangs.from === 'part' ? hangs.part : hangs.from}
      choices={choices}
      onChange={(value) => {
        if (value === 'free' || value === 'screen') {
          onHang({ from: value, screen, point: hangs.from === 'part' ? 'top-left' : hangs.point });
        } else if (hangs.from === 'part') onHang({ ...hangs, part: value });
        else onHang({ from: 'part', part: value, side: 'bottom', align: 'start' });
      }}
    />
  );
}

/** The parts of the screen that a widget may hang from, or only the one asked for. One that hangs from it may not be. */
function neighboursOf(widget: Widget, only?: string): { value: string; label: string }[] {
  const desk = presentDesk();
  const here = currentScreen();
  if (!desk || !here) return [];
  const guests = hangingFrom(widget.id, desk.widgets);
  const rects = rectsOn(here);
  return partsOf(desk)
    .filter(({ id }) => rects.has(id) && !guests.has(id) && (only === undefined || id === only))
    .map((part) => ({ value: part.id, label: nameOfPart(part) }));
}

/** The nine points; arrows move among them as they lie. */
function PointPicker({ value, onChange }: { value: NinePoint; onChange: (point: NinePoint) => void }) {
  return (
    <div
      role="radiogroup"
      aria-label="Point"
      className="grid grid-cols-3 gap-[3px]"
      onKeyDown={(event) => {
        const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -3, ArrowDown: 3 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        event.stopPropagation();
        const next = points[points.indexOf(value) + by];
        if (!next) return;
        onChange(next);
        (event.currentTarget.querySelector(`[data-point="${next}"]`) as HTMLElement | null)?.focus();
      }}
    >
      {points.map((point) => (
        <button
          key={point}
          type="button"
          role="radio"
          data-point={point}
          aria-checked={value === point}
          aria-label={pointTitles[point]}
          tabIndex={value === point ? 0 : -1}
          onClick={() => onChange(point)}
          className={clsx(
            'h-3.5 w-[18px] rounded-[3px]',
            value === point ? 'bg-brass' : 'bg-pit hover:bg-seam',
          )}
        />
      ))}
    </div>
  );
}
