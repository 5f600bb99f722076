import type { Desk } from '../../core/desk/desk.ts';
import { spanAround } from '../../core/sources/calendar/span.ts';
import type { Feed } from '../../core/sources/feeds.ts';
import type { Widget } from '../../core/desk/shapes/widgets.ts';
import { widgetKindOf } from '../../core/widgets/list.ts';
import { expandInWorker } from '../workers/calendars.ts';

const readsCalendars = ({ type, face, options }: Widget) =>
  widgetKindOf(type)
    .needs(options, face)
    .some(({ source }) => source === 'calendar');

/** What the calendars hold that stand in a desk itself; one that can't be read is left out. */
export async function readOwnCalendars({ widgets, place, sources }: Desk, moment: number): Promise<Feed[]> {
  if (!widgets.some(readsCalendars)) return [];
  const span = spanAround(moment, place.zone);
  const feeds = sources.outside.calendars.map(async ({ id, from }): Promise<Feed | null> => {
    if (from.by !== 'file') return null;
    try {
      const reading = await expandInWorker({ text: from.text, zone: place.zone, ...span });
      return { source: 'calendar', origin: id, samples: [{ moment, reading }] };
    } catch {
      return null;
    }
  });
  return (await Promise.all(feeds)).filter((feed) => feed !== null);
}
