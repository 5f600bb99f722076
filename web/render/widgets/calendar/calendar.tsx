import clsx from 'clsx';
import { Check } from 'lucide-react';
import { useContext } from 'react';
import type { CalendarLayout, CalendarView } from '../../../../core/widgets/calendar/layout.ts';
import { Actions } from '../../actions.ts';
import { paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: CalendarView;
  layout: CalendarLayout;
}

/** Today's ring, and the marks of what is on. */
function Marks({ view, layout: { marks, today } }: Props) {
  return (
    <>
      {today && (
        <div
          style={{ ...placeOf(today), border: `2px solid ${paint(view.colour)}` }}
          className="rounded-full"
        />
      )}
      {marks.map(({ rect, paint: colour, isRound }, index) => (
        <div
          key={index}
          style={{
            ...placeOf(rect),
            background: paint(colour),
            borderRadius: isRound ? '50%' : rect.width / 2,
          }}
        />
      ))}
    </>
  );
}

/** The day from midnight to midnight. */
function DayLine({ view, layout: { line, marks } }: Props) {
  return (
    line && (
      <>
        <div
          style={{
            ...placeOf(line.rect),
            background: 'var(--ink)',
            opacity: 0.16,
            borderRadius: line.rect.height / 2,
          }}
        />
        {marks.map(({ rect, paint: colour }, index) => (
          <div
            key={index}
            style={{ ...placeOf(rect), background: paint(colour), borderRadius: rect.height / 2 }}
          />
        ))}
        <div
          style={{
            ...placeOf({
              x: Math.min(line.rect.width - 3, Math.max(0, line.now * line.rect.width - 1.5)),
              y: line.rect.y - 5,
              width: 3,
              height: line.rect.height + 10,
            }),
            background: paint(view.colour),
            borderRadius: 2,
          }}
        />
      </>
    )
  );
}

/** Boxes to tick; in use they are pressed. */
function Tasks({ view, layout: { boxes } }: Props) {
  const actions = useContext(Actions);
  return boxes.map(({ rect, isDone }, index) => {
    const task = view.tasks[index];
    if (!task) return null;
    const label = `${task.title}: ${isDone ? 'done' : 'to do'}`;
    const look = clsx('grid place-items-center rounded-[5px]', actions && 'panel-press cursor-[inherit]');
    const style = {
      ...placeOf(rect),
      border: `2px solid ${isDone ? paint(task.paint) : 'var(--soft-ink)'}`,
      background: isDone ? paint(task.paint) : 'transparent',
      color: 'var(--on-accent)',
    };
    const tick = isDone && <Check size={rect.width - 6} strokeWidth={3.4} aria-hidden />;
    if (!actions)
      return (
        <div key={task.uid} style={style} className={look} role="img" aria-label={label}>
          {tick}
        </div>
      );
    return (
      <button
        key={task.uid}
        type="button"
        role="checkbox"
        aria-checked={isDone}
        aria-label={task.title}
        style={style}
        className={look}
        onClick={() =>
          task.isOwn
            ? actions.tickTask(task.calendar, task.uid, !isDone)
            : actions.say(
                'This task stands in a calendar that is read from outside, and can be ticked only there.',
              )
        }
      >
        {tick}
      </button>
    );
  });
}

export const faces = { month: Marks, agenda: Marks, day: DayLine, next: Marks, tasks: Tasks };
