import clsx from 'clsx';
import { createContext, useContext, type FC } from 'react';
import { partsOf } from '../../../core/desk/parts.ts';
import { hangingFrom } from '../../../core/desk/shapes/widgets.ts';
import { rectsOn } from '../../../core/scene/parts.ts';
import { points, type Hanging, type NinePoint } from '../../../core/values/place.ts';
import { presentDesk } from '../../session/desk.ts';
import { currentScreen } from '../../stores/screen.ts';
import { SelectField } from '../../ui/choice.tsx';
import { nameOfPart } from '../../../core/desk/part-names.ts';
import type { ControlProps } from './control.ts';

/** Id of the part whose place a form shows. */
export const FormPart = createContext<string | null>(null);

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

/** What a part hangs from: the free area, the screen, or a neighbour. */
export const HangingControl: FC<ControlProps> = ({ label, value, onTurn, onEnd }) => {
  const part = useContext(FormPart) ?? '';
  const hangs = value as Hanging;
  const frames = [
    { value: 'free', label: 'the free area' },
    { value: 'screen', label: 'the whole screen' },
  ];
  function choices(isOpen: boolean) {
    if (isOpen) return [...frames, ...neighboursOf(part)];
    return hangs.from === 'part' ? neighboursOf(part, hangs.part) : frames;
  }
  function hang(next: Hanging): void {
    onTurn(next);
    onEnd();
  }
  return (
    <SelectField
      label={label}
      value={hangs.from === 'part' ? hangs.part : hangs.from}
      choices={choices}
      onChange={(from) => {
        if (from === 'free' || from === 'screen') {
          const screen = currentScreen()?.id ?? '';
          hang({ from, screen, point: hangs.from === 'part' ? 'top-left' : hangs.point });
        } else if (hangs.from === 'part') hang({ ...hangs, part: from });
        else hang({ from: 'part', part: from, side: 'bottom', align: 'start' });
      }}
    />
  );
};

/** The parts of the screen that a widget may hang from, or only the one asked for. One that hangs from it may not be. */
function neighboursOf(part: string, only?: string): { value: string; label: string }[] {
  const desk = presentDesk();
  const here = currentScreen();
  if (!desk || !here) return [];
  const guests = hangingFrom(part, desk.widgets);
  const rects = rectsOn(here);
  return partsOf(desk)
    .filter(({ id }) => rects.has(id) && !guests.has(id) && (only === undefined || id === only))
    .map((part) => ({ value: part.id, label: nameOfPart(part) }));
}

export const PointControl: FC<ControlProps> = ({ label, value, onTurn, onEnd }) => (
  <>
    <PointPicker
      label={label}
      value={value as NinePoint}
      onChange={(point) => {
        onTurn(point);
        onEnd();
      }}
    />
    <span className="text-dust">{pointTitles[value as NinePoint]}</span>
  </>
);

/** The nine points; arrows move among them as they lie. */
function PointPicker({
  label,
  value,
  onChange,
}: {
  label: string;
  value: NinePoint;
  onChange: (point: NinePoint) => void;
}) {
  return (
    <div
      role="radiogroup"
      aria-label={label}
      className="grid grid-cols-3"
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
          className="group grid size-6 place-items-center"
        >
          <span
            className={clsx(
              'h-[18px] w-[20px] rounded-[3px]',
              value === point ? 'bg-brass' : 'bg-pit group-hover:bg-seam',
            )}
          />
        </button>
      ))}
    </div>
  );
}
