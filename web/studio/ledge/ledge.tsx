import clsx from 'clsx';
import {
  ChevronLeft,
  ChevronRight,
  Cpu,
  MapPin,
  Moon,
  Pause,
  Play,
  Sun,
  Sunrise,
  Sunset,
} from 'lucide-react';
import { Slider } from 'radix-ui';
import { useMemo, type ReactNode } from 'react';
import { skyColour } from '../../../core/colour/sky.ts';
import { createReadings } from '../../../core/sources/readings.ts';
import { sunAltitude } from '../../../core/sources/sun/sun.ts';
import { dayOf, formatMoment } from '../../../core/sources/time/time.ts';
import type { GeoPlace } from '../../../core/values/earth.ts';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { useHalf } from '../../session/scene.ts';
import { useView } from '../../stores/view.ts';
import { IconButton } from '../../ui/buttons.tsx';
import { commandsById } from '../commands/commands.ts';
import { TimelineMarks } from './timeline-marks.tsx';
import { WindowsTile } from './windows-tile.tsx';

const MINUTE = 60_000;

/** The strip that holds the moment and the conditions. */
export function Ledge() {
  const place = useDesk((state) => state.history?.present.place);
  const seed = useDesk((state) => state.history?.present.seed ?? 0);
  const moment = useConditions((state) => state.moment);
  if (!place) return null;
  return (
    <section
      aria-label="The ledge"
      data-ledge
      className="flex h-[104px] shrink-0 items-center gap-4 border-t-2 border-brass/40 bg-linear-to-b from-velvet to-pit px-[22px]"
    >
      <PlayButton />
      <div className="min-w-0 flex-1">
        <DayLine place={place} moment={moment} />
        <Day place={place} moment={moment} />
      </div>
      <Tiles place={place} seed={seed} moment={moment} />
    </section>
  );
}

function PlayButton() {
  const isPlaying = useConditions((state) => state.isPlaying);
  const setPlaying = useConditions((state) => state.setPlaying);
  return (
    <button
      type="button"
      aria-label={isPlaying ? 'Stop the day' : 'Play the day'}
      onClick={() => setPlaying(!isPlaying)}
      className="grid size-10 shrink-0 place-items-center rounded-full border border-brass/40 bg-brass/15 text-brass hover:bg-brass/25"
    >
      {isPlaying ? <Pause size={18} /> : <Play size={18} className="translate-x-px" />}
    </button>
  );
}

/** The date with its neighbours, and the way back to now. */
function DayLine({ place, moment }: { place: GeoPlace; moment: number }) {
  const isNow = useConditions((state) => state.isNow);
  const hold = useConditions((state) => state.hold);
  const goNow = useConditions((state) => state.goNow);
  const open = useView((view) => view.open);
  const { start, end } = dayOf(moment, place.zone);
  const share = (moment - start) / (end - start);
  // The same time of day, on a day that may be an hour longer or shorter.
  const move = (neighbour: number) => {
    const day = dayOf(neighbour, place.zone);
    hold(day.start + share * (day.end - day.start));
  };
  return (
    <div className="mb-1 flex items-center gap-1 whitespace-nowrap text-[12px] text-dust">
      <IconButton label="Day before" className="!size-6" onClick={() => move(start - MINUTE)}>
        <ChevronLeft size={14} />
      </IconButton>
      <span className="min-w-[104px] text-center">{formatMoment(moment, place.zone, 'EEE d MMM yyyy')}</span>
      <IconButton label="Day after" className="!size-6" onClick={() => move(end + MINUTE)}>
        <ChevronRight size={14} />
      </IconButton>
      <button
        type="button"
        onClick={() => open('place')}
        className="ml-1 flex min-w-0 items-center gap-1 rounded-md px-1.5 py-0.5 hover:bg-nap hover:text-chalk"
        aria-label={`Place: ${place.name}`}
      >
        <MapPin size={12} className="shrink-0" />{' '}
        <span className="truncate">{place.name || 'Unnamed place'}</span>
      </button>
      <button
        type="button"
        aria-pressed={isNow}
        onClick={goNow}
        className={clsx(
          'ml-auto rounded-md px-2 py-0.5 font-medium',
          isNow ? 'text-moss' : 'bg-brass text-on-brass',
        )}
      >
        {isNow ? 'now' : 'back to now'}
      </button>
    </div>
  );
}

/** Stops of the sky's light over a day: one for every half hour. */
function skyOf(start: number, end: number, { latitude, longitude }: GeoPlace): string {
  const count = 48;
  const stops = Array.from({ length: count + 1 }, (_, index) => {
    const at = start + (index / count) * (end - start);
    return `${skyColour(sunAltitude(at, latitude, longitude))} ${((index / count) * 100).toFixed(2)}%`;
  });
  return `linear-gradient(90deg, ${stops.join(', ')})`;
}

function Day({ place, moment }: { place: GeoPlace; moment: number }) {
  const hold = useConditions((state) => state.hold);
  const { start, end } = dayOf(moment, place.zone);
  const sky = useMemo(() => skyOf(start, end, place), [start, end, place]);
  const sun = useMemo(
    () => createReadings({ moment: start, place, seed: 0 }).get('sun').value,
    [start, place],
  );
  const time = formatMoment(moment, place.zone, 'HH:mm');
  const share = (at: number) => `${((at - start) / (end - start)) * 100}%`;
  // An hour gives way to the sun where the two would stand in each other's way.
  const marks = [sun.sunrise, sun.sunset]
    .filter((at) => at !== null)
    .map((at) => (at - start) / (end - start));
  const hours = [0, 0.25, 0.5, 0.75].filter((part) => marks.every((mark) => Math.abs(mark - part) > 0.1));
  return (
    <div className="relative h-[58px]">
      <Slider.Root
        aria-label="Time of day"
        className="absolute inset-x-0 top-[18px] flex h-4 touch-none items-center"
        value={[Math.floor((moment - start) / MINUTE)]}
        min={0}
        max={Math.round((end - start) / MINUTE) - 1}
        step={1}
        onValueChange={([minute]) => minute !== undefined && hold(start + minute * MINUTE)}
      >
        <Slider.Track
          className="relative h-3.5 grow overflow-hidden rounded-[4px]"
          style={{ background: sky }}
          data-sky
        />
        <Slider.Thumb
          aria-label="Time of day"
          aria-valuetext={time}
          className="group block h-7 w-[3px] rounded-sm bg-chalk shadow-[0_0_0_1px_var(--pit)]"
        >
          <span
            className="absolute bottom-full left-1/2 mb-[3px] -translate-x-1/2 rounded-sm bg-velvet px-1 font-mono text-[13px] font-semibold leading-none text-chalk"
            data-moment={moment}
          >
            {time}
          </span>
        </Slider.Thumb>
      </Slider.Root>
      <TimelineMarks start={start} end={end} place={place} />
      <div className="absolute inset-x-0 top-[38px] h-5 text-[11.5px] text-dust">
        {hours.map((part) => (
          <span
            key={part}
            className="absolute font-mono text-[11px]"
            style={{ left: `${part * 100}%`, translate: part === 0 ? undefined : '-50% 0' }}
          >
            {formatMoment(start + part * (end - start), place.zone, 'HH')}
          </span>
        ))}
        {sun.sunrise !== null && (
          <Mark
            at={share(sun.sunrise)}
            icon={<Sunrise size={13} />}
            text={formatMoment(sun.sunrise, place.zone, 'HH:mm')}
            title="Sunrise"
          />
        )}
        {sun.sunset !== null && (
          <Mark
            at={share(sun.sunset)}
            icon={<Sunset size={13} />}
            text={formatMoment(sun.sunset, place.zone, 'HH:mm')}
            title="Sunset"
          />
        )}
      </div>
    </div>
  );
}

function Mark({ at, icon, text, title }: { at: string; icon: ReactNode; text: string; title: string }) {
  return (
    <span
      className="absolute flex -translate-x-1/2 items-center gap-1 whitespace-nowrap"
      style={{ left: at }}
      title={title}
    >
      <span className="text-brass">{icon}</span>
      {text}
    </span>
  );
}

/** What the sources say of the moment. */
function Tiles({ place, seed, moment }: { place: GeoPlace; seed: number; moment: number }) {
  const half = useHalf();
  const isLookedAt = useConditions((state) => state.half !== null);
  const readings = useMemo(() => createReadings({ moment, place, seed }), [moment, place, seed]);
  const { altitude } = readings.get('sun').value;
  const processor = readings.get('machine').value.processor ?? 0;
  return (
    <div className="flex shrink-0 gap-1.5">
      <Tile
        icon={altitude > 0 ? <Sun size={17} /> : <Moon size={17} />}
        text={`${altitude.toFixed(0).replace('-', '−')}°`}
        title="Height of the sun"
      />
      <Tile icon={<Cpu size={17} />} text={`${Math.round(processor)} %`} title="Simulated processor" />
      <WindowsTile />
      <button
        type="button"
        onClick={commandsById.get('half')?.run}
        title={
          isLookedAt
            ? 'Looked at: the desk itself shows the other half now. Press to go back to that.'
            : 'Look at the other half of the desk; nothing of it changes'
        }
        aria-pressed={isLookedAt}
        className={clsx(
          'flex h-12 w-14 flex-col items-center justify-center gap-0.5 rounded-lg text-[12px]',
          isLookedAt ? 'bg-brass font-medium text-on-brass' : 'bg-pit text-brass hover:bg-nap',
        )}
      >
        {half === 'dark' ? <Moon size={17} /> : <Sun size={17} />}
        {half} half
      </button>
    </div>
  );
}

function Tile({ icon, text, title }: { icon: ReactNode; text: string; title: string }) {
  return (
    <div
      title={title}
      aria-label={`${title}: ${text}`}
      role="img"
      className="flex h-12 w-14 flex-col items-center justify-center gap-0.5 rounded-lg bg-pit text-[12px] text-dust"
    >
      <span className="text-brass">{icon}</span>
      <span className="tabular-nums">{text}</span>
    </div>
  );
}
