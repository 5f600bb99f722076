import clsx from 'clsx';
import { useMemo } from 'react';
import { formatMoment } from '../../../core/sources/time/time.ts';
import { triggers } from '../../../core/timeline/list.ts';
import type { Trigger } from '../../../core/timeline/trigger.ts';
import type { GeoPlace } from '../../../core/values/earth.ts';
import { useDesk } from '../../session/desk.ts';
import { useScreenInView } from '../../stores/screen.ts';

interface Stretch {
  start: number;
  end: number;
  place: GeoPlace;
}

/** How changes are marked on the day, by the key of their trigger: a stud where nothing else is said. */
const shapes = new Map<string, string>([
  ['half', 'top-[32px] size-[7px] rounded-full bg-chalk'],
  ['visits', 'top-[33px] h-[4px] w-px bg-dust/70'],
]);
const STUD = 'top-[13px] size-[7px] rotate-45 rounded-[1px] bg-brass';

/** Marks of all that changes on a day by itself, on the screen in view. */
export function TimelineMarks(stretch: Stretch) {
  const view = useScreenInView();
  if (!view) return null;
  return triggers.map((trigger) => (
    <TriggerMarks
      key={trigger.key}
      {...stretch}
      trigger={trigger}
      screen={view.id}
      backdrop={view.backdrop.id}
    />
  ));
}

function TriggerMarks({
  trigger,
  screen,
  backdrop,
  start,
  end,
  place,
}: Stretch & { trigger: Trigger; screen: string; backdrop: string }) {
  const seed = useDesk(({ history }) => history?.present.seed ?? 0);
  const subject = useDesk(({ history }) =>
    history ? trigger.subject(history.present, { screen, backdrop }) : null,
  );
  const changes = useMemo(
    () =>
      subject === null ? [] : trigger.changesBetween(subject, { screen, backdrop, place, seed }, start, end),
    [trigger, subject, screen, backdrop, place, seed, start, end],
  );
  if (changes.length > MOST) return null;
  return changes.map(({ at, told }) => (
    <span
      key={`${at} ${told}`}
      data-mark={trigger.key}
      data-at={at}
      title={`${told} at ${formatMoment(at, place.zone, 'HH:mm')}`}
      className={clsx('absolute -translate-x-1/2', shapes.get(trigger.key) ?? STUD, 'border-pit')}
      style={{ left: `${((at - start) / (end - start)) * 100}%` }}
    />
  ));
}

/** More marks than this on one day can't be told from each other, and are left away. */
const MOST = 100;
