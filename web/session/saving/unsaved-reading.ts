import { problemText } from '../../../core/desk/problem.ts';
import { readDesk } from '../../../core/desk/read.ts';
import { MOST_UNANSWERED, keyOf, rescueKeyOf, type Rescued, type Unsaved } from './unsaved.ts';
import type { Keep } from '../../browser-keep.ts';

/** What an earlier page left; work that is no desk any more is put aside first, where nothing writes over it. */
export function readUnsaved(keep: Keep, id: string): Unsaved | null {
  const text = keep.getItem(keyOf(id));
  if (text === null) return null;
  const read = parse(text);
  if (read) return read;
  // First taken away: there may be no room for it twice.
  keep.removeItem(keyOf(id));
  keep.setItem(rescueKeyOf(id), text);
  return null;
}

function parse(text: string): Unsaved | null {
  try {
    const { desk, basedOn, unanswered } = JSON.parse(text) as Record<string, unknown>;
    const read = readDesk(desk);
    if (!read.ok || !Number.isInteger(basedOn)) return null;
    const sent = Array.isArray(unanswered) ? unanswered.slice(0, MOST_UNANSWERED).map(readDesk) : [];
    return {
      desk: read.value,
      basedOn: Number(basedOn),
      ...(sent.length > 0 ? { unanswered: sent.flatMap((one) => (one.ok ? [one.value] : [])) } : {}),
    };
  } catch {
    return null;
  }
}

/** Work that was put aside, as the desk's JSON where it has one. */
export function readRescued(keep: Keep, id: string): Rescued | null {
  const text = keep.getItem(rescueKeyOf(id));
  if (text === null) return null;
  try {
    const { desk } = JSON.parse(text) as { desk: unknown };
    const read = readDesk(desk);
    const [problem] = read.ok ? [] : read.problems;
    return {
      text: JSON.stringify(desk, null, 2),
      sentence: problem ? problemText(problem) : 'it names no state to go on from',
    };
  } catch {
    return { text, sentence: 'it is damaged' };
  }
}
