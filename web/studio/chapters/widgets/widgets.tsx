import { AudioLines, CalendarDays, Lock, Newspaper, RadioTower, Ruler, Waves } from 'lucide-react';
import { temperatureIn, told, windIn, type Units } from '../../../../core/sources/units.ts';
import { later } from '../../../later.ts';
import { PageLink } from '../../column/page-link.tsx';
import { Gallery } from './gallery.tsx';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { titleOfWidget } from '../../../../core/desk/part-names.ts';

const UnitsPage = later(async () => ({ default: (await import('./units-page.tsx')).UnitsPage }));
const StationPage = later(async () => ({
  default: (await import('./outside/station-page.tsx')).StationPage,
}));
const CalendarsPage = later(async () => ({
  default: (await import('./outside/calendars-page.tsx')).CalendarsPage,
}));
const HeadlinesPage = later(async () => ({
  default: (await import('./outside/headlines-page.tsx')).HeadlinesPage,
}));
const SoundPage = later(async () => ({ default: (await import('./sound/sound-page.tsx')).SoundPage }));
const TidePage = later(async () => ({ default: (await import('./units-page.tsx')).TidePage }));

/** The kinds of widget, and the widgets that are there. */
export function WidgetsChapter() {
  const page = useView((view) => view.page);
  const sources = useDesk((state) => state.history?.present.sources);
  if (sources && page === 'units') return <UnitsPage units={sources.units} />;
  if (sources && page === 'station') return <StationPage outside={sources.outside} />;
  if (sources && page === 'calendars') return <CalendarsPage outside={sources.outside} />;
  if (sources && page === 'headlines') return <HeadlinesPage outside={sources.outside} />;
  if (sources && page === 'sound') return <SoundPage sound={sources.sound} />;
  if (sources && page === 'tide') return <TidePage tide={sources.tide} />;
  return (
    <>
      <Gallery />
      <OnThisScreen />
      <div className="mt-5" />
      <Section title="What they read and play">
        <PageLink page="units" icon={Ruler} title="Units" note={sources && unitsNote(sources.units)} />
        <PageLink
          page="tide"
          icon={Waves}
          title="Tide"
          note={`${sources?.tide.constituents.length ?? 0} waves`}
        />
        <PageLink page="sound" icon={AudioLines} title="Sound" note={sources?.sound.tracks.length} />
        <PageLink
          page="station"
          icon={RadioTower}
          title="Weather station"
          note={sources?.outside.report.by === 'typed' ? 'typed' : 'address'}
        />
        <PageLink
          page="calendars"
          icon={CalendarDays}
          title="Calendars"
          note={sources?.outside.calendars.length}
        />
        <PageLink
          page="headlines"
          icon={Newspaper}
          title="Headlines"
          note={sources?.outside.headlines.length}
        />
      </Section>
    </>
  );
}

function unitsNote({ temperature, wind, hours }: Units): string {
  return [
    told(temperatureIn(temperature, 20)) + temperature.toUpperCase(),
    windIn(wind, 0).unit,
    `${hours} h`,
  ].join(', ');
}

function OnThisScreen() {
  const screen = useScreenInView();
  const document = useDesk((state) => state.history?.present.widgets) ?? [];
  const here = new Set(screen?.widgets.map(({ id }) => id));
  const widgets = document.filter(({ id }) => here.has(id)).toReversed();
  return (
    <Section title="On this screen" note={widgets.length > 1 ? 'the first stands above' : undefined}>
      {widgets.length === 0 && <p className="text-dust">No widget yet.</p>}
      {widgets.map((widget) => (
        <button
          key={widget.id}
          type="button"
          onClick={() => useView.getState().select([widget.id], 'widgets')}
          className="flex h-8 items-center justify-between gap-2 rounded-lg px-2 text-left hover:bg-nap"
        >
          <span className="truncate">
            {titleOfWidget(widget)} <span className="text-dust">{widget.face}</span>
          </span>
          {widget.locked && <Lock size={13} className="text-dust" aria-label="locked" />}
        </button>
      ))}
    </Section>
  );
}
