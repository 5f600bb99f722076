import { z } from 'zod';
import { create } from 'zustand';
import type { Coordinates } from '../../../core/places/coordinates.ts';
import { places } from '../../../core/places/places.ts';
import { GeoPlace } from '../../../core/values/earth.ts';
import { browserKeep, readKept } from '../../browser-keep.ts';

/** Places that a person keeps by name, for all desks in this browser. */
export type OwnPlace = { name: string } & Coordinates;

const KEY = 'velvet-ledge:places';
const MOST = 100;
const Stored = z.array(GeoPlace.pick({ name: true, latitude: true, longitude: true })).max(MOST);

interface OwnPlaces {
  own: readonly OwnPlace[];
  /** Keeps a place; one of the same name is replaced. False where there is no room. */
  keep(place: OwnPlace): boolean;
  forget(name: string): void;
}

export const useOwnPlaces = create<OwnPlaces>()((set, get) => {
  const write = (own: readonly OwnPlace[]) => {
    set({ own });
    // They last as long as this page.
    browserKeep.tryItem(KEY, JSON.stringify(own));
  };
  return {
    own: readKept(browserKeep, KEY, Stored) ?? [],
    keep({ name, latitude, longitude }) {
      const others = get().own.filter((one) => one.name !== name);
      if (others.length >= MOST) return false;
      write([{ name, latitude, longitude }, ...others]);
      return true;
    },
    forget: (name) => write(get().own.filter((one) => one.name !== name)),
  };
});

/** Whether a place is known by its name already. */
export function isKnown(place: OwnPlace, own: readonly OwnPlace[]): boolean {
  return [...own, ...places].some(
    ({ name, latitude, longitude }) =>
      name === place.name && latitude === place.latitude && longitude === place.longitude,
  );
}
