import { memo, useContext, useEffect, useId, useRef, type KeyboardEvent } from 'react';
import type { Content, ContentDoes, ContentPress } from '../../../core/windows/contents/page.ts';
import type { Size } from '../../../core/values/geometry.ts';
import { Actions } from '../actions.ts';
import { Runs, paint, placeOf } from '../kit/runs.tsx';

/** What stands in a window, and what can be pressed there while the desk is in use. */
export const ContentView = memo(function ContentView({
  content,
  size,
  label,
  onDo,
}: {
  content: Content;
  size: Size;
  label: string;
  onDo(does: ContentDoes): void;
}) {
  const isInUse = useContext(Actions) !== null;
  const { boxes, outlines, runs } = content;
  return (
    <>
      <svg
        className="pointer-events-none absolute left-0 top-0 overflow-hidden"
        width={size.width}
        height={size.height}
        aria-hidden
      >
        {boxes.map(({ rect, colour, opacity, radius }, index) => (
          <rect key={index} {...rect} rx={radius} fill={paint(colour)} opacity={opacity} />
        ))}
        {outlines.map(({ path, colour, opacity, stroke }, index) => (
          <path
            key={index}
            d={path}
            fill={stroke === null ? paint(colour) : 'none'}
            stroke={stroke === null ? 'none' : paint(colour)}
            strokeWidth={stroke ?? undefined}
            opacity={opacity}
          />
        ))}
      </svg>
      <Runs runs={runs} />
      {isInUse && <Presses content={content} label={label} onDo={onDo} />}
    </>
  );
});

/** Rows are walked by arrows, everything else is a button. */
function Presses({
  content,
  label,
  onDo,
}: {
  content: Content;
  label: string;
  onDo(does: ContentDoes): void;
}) {
  const id = useId();
  const rows = content.presses.filter(({ does }) => does.by === 'choose');
  const others = content.presses.filter(({ does }) => does.by !== 'choose');
  const chosen = rows.findIndex(({ isOn }) => isOn);
  // Whoever presses faster than is drawn goes on from where the last press led.
  const last = useRef(chosen);
  useEffect(() => {
    last.current = chosen;
  }, [chosen]);

  function onKeyDown(event: KeyboardEvent) {
    const to = walked(event.key, last.current, rows.length);
    const does = to === null ? undefined : rows[to]?.does;
    if (!does) return;
    last.current = to ?? last.current;
    event.preventDefault();
    event.stopPropagation();
    onDo(does);
  }

  return (
    <>
      {rows.length > 0 && (
        <div
          role="listbox"
          aria-label={label}
          tabIndex={0}
          aria-activedescendant={chosen < 0 ? undefined : `${id}-${chosen}`}
          onKeyDown={onKeyDown}
          className="window-rows"
        >
          {rows.map(({ rect, label: name, isOn, does }, index) => (
            <div
              key={index}
              id={`${id}-${index}`}
              role="option"
              aria-selected={isOn ?? false}
              aria-label={name}
              style={placeOf(rect)}
              onClick={() => onDo(does)}
            />
          ))}
        </div>
      )}
      {others.map((press) => (
        <ContentButton key={`${press.label} ${press.rect.y}`} press={press} onDo={onDo} />
      ))}
    </>
  );
}

function ContentButton({
  press: { rect, label, does, isOn },
  onDo,
}: {
  press: ContentPress;
  onDo(does: ContentDoes): void;
}) {
  const isSwitch = does.by === 'turn';
  return (
    <button
      type="button"
      role={isSwitch ? 'switch' : undefined}
      aria-checked={isSwitch ? (isOn ?? false) : undefined}
      aria-label={label}
      className="panel-press rounded"
      style={placeOf(rect)}
      onClick={() => onDo(does)}
    />
  );
}

/** The row that a key leads to; null for other keys. */
function walked(key: string, chosen: number, count: number): number | null {
  switch (key) {
    case 'ArrowDown':
      return Math.min(count - 1, chosen + 1);
    case 'ArrowUp':
      return Math.max(0, chosen - 1);
    case 'Home':
      return 0;
    case 'End':
      return count - 1;
    default:
      return null;
  }
}
