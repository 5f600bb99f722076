import { feedOf } from '../feeds.ts';
import { originAt } from '../outside.ts';
import type { Read } from '../source.ts';
import type { WeatherReading } from '../weather/weather.ts';
import { readReports, weatherOf, type Reports } from './reports.ts';

/** Reports that were read, by their text and day: the same ones are asked for by every tick. */
const known = new Map<string, Reports>();
const MOST_KNOWN = 20;
const DAY = 86_400_000;

function reportsOf(text: string, around: number): Reports {
  const key = `${Math.floor(around / DAY)} ${text}`;
  let reports = known.get(key);
  if (!reports) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, (reports = readReports(text, around)));
  }
  return reports;
}

/** Null while there is no report. */
export const read: Read<WeatherReading | null> = ({ outside, feeds = [], place }, moment) => {
  const from = outside?.report;
  if (!from) return null;
  if (from.by === 'typed') return weatherOf(reportsOf(from.text, moment), moment, place.zone);
  const samples = feedOf(feeds, 'text', originAt(from))?.samples ?? [];
  const sample = samples.findLast((one) => one.moment <= moment) ?? samples.at(-1);
  return sample ? weatherOf(reportsOf(String(sample.reading), sample.moment), moment, place.zone) : null;
};
