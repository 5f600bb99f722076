import { TZDate } from '@date-fns/tz';
import { hash } from '../noise.ts';
import { wallClock } from '../time/time.ts';
import type { FetchedHeadlines, Headline } from './headlines.ts';

/** What the observatory writes about; a number stands for how many. */
const subjects = [
  ['# shelducks on the flats', 'Counted from the north hide at low water.'],
  ['First fieldfares of the season', 'Heard before light over the sallow bed.'],
  ['# brent geese past the point', 'All within the first hour, low over the water.'],
  ['North hide open again', 'The new shutters run; please leave them as you found them.'],
  ['Moth lamp: # species', 'A mild night without moon.'],
  ['Water over the slipway', 'The boat lies at the upper mooring until the springs are over.'],
  ['# rings given out', 'The ledger has the list.'],
  ['Owl at the lamp house', 'It hunts along the wall at dusk. Keep to the path.'],
  ['Ledger of the week is in', 'Totals and remarks lie in the common room.'],
  ['Fog bell tested', 'It will be tested again on the first of the month.'],
] as const;
/** Hours of the wall clock at which one may be written. */
const hours = [7, 9.5, 13, 17.25, 21] as const;
const DAYS = 10;

/** The observatory's bulletins up to a moment, the newest first: a pure function of seed, zone and moment. */
export function bulletins(seed: number, zone: string, moment: number): FetchedHeadlines {
  const { year, month, day } = wallClock(moment, zone);
  const key = `${seed} ${zone} ${year} ${month} ${day}`;
  if (newest?.key !== key) newest = { key, items: writtenUntil(seed, zone, year, month, day) };
  const items = newest.items.filter((item) => item.moment !== null && item.moment <= moment);
  return { title: 'Bulletins of Marrow Point', items };
}

/** Those of the day that was asked for last, which is asked for all day. */
let newest: { key: string; items: Headline[] } | null = null;

/** All of a day and of the days before it. */
function writtenUntil(seed: number, zone: string, year: number, month: number, day: number): Headline[] {
  const items: Headline[] = [];
  for (let back = 0; back < DAYS; back++) {
    const index = Math.round(Date.UTC(year, month - 1, day - back) / 86_400_000);
    for (const [slot, hour] of [...hours.entries()].reverse()) {
      const key = index * hours.length + slot;
      if (hash(seed + 700, key) > 0.62) continue;
      const at = new TZDate(
        year,
        month - 1,
        day - back,
        Math.floor(hour),
        Math.round((hour % 1) * 60) + Math.floor(hash(seed + 701, key) * 20),
        0,
        zone,
      ).getTime();
      // A subject does not come again within a few.
      const [title, text] = subjects[(key * 7) % subjects.length] ?? subjects[0];
      const many = 3 + Math.floor(hash(seed + 702, key) ** 2 * 400);
      items.push({ title: title.replace('#', String(many)), text, link: '', moment: at });
    }
  }
  return items;
}
