import { AudioLines, CalendarDays, LayoutGrid, Newspaper, RadioTower, Ruler, Waves } from 'lucide-react';
import { Calendar, Headlines, Outside } from '../../../../core/sources/outside.ts';
import { Sound } from '../../../../core/sources/sound/schema.ts';
import { Tide } from '../../../../core/sources/tide/tide.ts';
import { temperatureIn, told, Units, windIn } from '../../../../core/sources/units.ts';
import { later } from '../../../later.ts';
import type { Page } from '../chapter.ts';

const UnitsPage = later(async () => ({ default: (await import('./units-page.tsx')).UnitsPage }));
const TidePage = later(async () => ({ default: (await import('./units-page.tsx')).TidePage }));
const SoundPage = later(async () => ({ default: (await import('./sound/sound-page.tsx')).SoundPage }));
const StationPage = later(async () => ({
  default: (await import('./outside/station-page.tsx')).StationPage,
}));
const CalendarsPage = later(async () => ({
  default: (await import('./outside/calendars-page.tsx')).CalendarsPage,
}));
const HeadlinesPage = later(async () => ({
  default: (await import('./outside/headlines-page.tsx')).HeadlinesPage,
}));

const ArrangementsPage = later(async () => ({
  default: (await import('./arrangements-page.tsx')).ArrangementsPage,
}));

const under = 'What they read and play';

export const pages: readonly Page[] = [
  {
    id: 'arrangements',
    title: 'Arrangements',
    icon: LayoutGrid,
    under: 'Where things stand',
    also: 'layouts positions save layout profiles',
    fields: ['On by itself', 'Name'],
    Body: ArrangementsPage,
    note: ({ arrangements }) => arrangements.list.length || 'one way',
  },
  {
    id: 'units',
    title: 'Units',
    icon: Ruler,
    under,
    also: 'celsius fahrenheit metric 12 hour 24 hour week',
    settings: [Units],
    Body: ({ desk }) => <UnitsPage units={desk.sources.units} />,
    note: ({ sources }) => unitsNote(sources.units),
  },
  {
    id: 'tide',
    title: 'Tide',
    icon: Waves,
    under,
    also: 'high water',
    settings: [Tide],
    Body: ({ desk }) => <TidePage tide={desk.sources.tide} />,
    note: ({ sources }) => `${sources.tide.constituents.length} waves`,
  },
  {
    id: 'sound',
    title: 'Sound',
    icon: AudioLines,
    under,
    also: 'music audio songs playlist',
    settings: [Sound],
    Body: ({ desk }) => <SoundPage sound={desk.sources.sound} />,
    note: ({ sources }) => sources.sound.tracks.length,
  },
  {
    id: 'station',
    title: 'Weather station',
    icon: RadioTower,
    under,
    also: 'metar forecast temperature',
    settings: [Outside.pick({ report: true })],
    Body: ({ desk }) => <StationPage outside={desk.sources.outside} />,
    note: ({ sources }) => (sources.outside.report.by === 'typed' ? 'typed' : 'address'),
  },
  {
    id: 'calendars',
    title: 'Calendars',
    icon: CalendarDays,
    under,
    also: 'ics events agenda appointments',
    settings: [Calendar],
    Body: ({ desk }) => <CalendarsPage outside={desk.sources.outside} />,
    note: ({ sources }) => sources.outside.calendars.length,
  },
  {
    id: 'headlines',
    title: 'Headlines',
    icon: Newspaper,
    under,
    also: 'rss atom feed news',
    settings: [Headlines],
    Body: ({ desk }) => <HeadlinesPage outside={desk.sources.outside} />,
    note: ({ sources }) => sources.outside.headlines.length,
  },
];

function unitsNote({ temperature, wind, hours }: Units): string {
  return [
    told(temperatureIn(temperature, 20)) + temperature.toUpperCase(),
    windIn(wind, 0).unit,
    `${hours} h`,
  ].join(', ');
}
