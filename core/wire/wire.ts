import type { Desk } from '../desk/desk.ts';
import type { KitFacts } from '../desk/kits/kit.ts';
import type { Feed } from '../sources/feeds.ts';

/** What goes between the server and its pages: both read it from here. Moments are epoch ms, ids SHA-256 in hex. */

export interface StoredDesk {
  desk: Desk;
  revision: number;
  savedAt: number;
}

/** The answer to a save; `isAsGiven` where the desk was kept as it was given, nothing put otherwise. */
export interface Saved {
  revision: number;
  savedAt: number;
  isAsGiven: boolean;
}

/** A line of the list of kits. */
export interface ListedKit extends KitFacts {
  savedAt: number;
}

export interface RevisionNote {
  number: number;
  savedAt: number;
  /** What it is kept under for good, and what was written to it; null where it goes with time. */
  keptAs: string | null;
  note: string | null;
}

/** A picture that was kept; px. */
export interface PictureNote {
  id: string;
  name: string;
  width: number;
  height: number;
}

/** What is worth knowing of a picture before it is shown large; px. */
export interface PictureFacts {
  width: number;
  height: number;
  isAnimated: boolean;
  /** Bits of a channel. */
  depth: number;
  /** Its colours are said by a profile. */
  hasProfile: boolean;
  /** How visible the blocks of compression are; 1 is not at all. */
  blocks: number;
}

/** The formats in which a backdrop leaves. */
export const bakeFormats = ['png', 'webp', 'avif', 'jpeg'] as const;
export type BakeFormat = (typeof bakeFormats)[number];

/** What the server says of itself. */
export interface About {
  /** The script that its pages run; null where it gives no pages. */
  build: string | null;
  /** Bytes that its disk has left; null where it doesn't know. */
  room: number | null;
}

/** What became of a desk, and which page did it. */
interface Told {
  id: string;
  by: string | null;
}

/** Every event that pages are sent, by its name. */
export interface EventData {
  /** As a page begins to listen, and when it changes. */
  hello: About;
  about: About;
  saved: Told & { revision: number };
  removed: Told;
  /** Something has become of the kits. */
  kits: Record<string, never>;
  /** … or of the looks of single parts. */
  looks: Record<string, never>;
  /** … or of the icon sets. */
  'icon-sets': Record<string, never>;
  /** Something has become of what is kept of a desk. */
  keeps: { id: string };
  /** Readings from outside, or why there are none. */
  samples: Feed;
}
export type EventName = keyof EventData;

/** A line of the list of icon sets. */
export interface ListedIconSet {
  id: string;
  name: string;
  styles: string[];
  /** Pictures that it has. */
  pictures: number;
  /** Of the signs that there are, how many it has, and those that it lacks. */
  found: number;
  missing: string[];
  /** How many of its pictures have one colour. */
  oneColour: number;
  /** Sets that it builds upon and that did not come with it. */
  lacks: string[];
}

/** What is told while an archive of icons is taken in, a line of JSON each; the last one is what came of it. */
export type TakingIcons =
  | { drawn: number; of: number }
  | { sets: ListedIconSet[]; /** Pictures that could not be drawn. */ undrawn: number }
  | { problem: string };
