import type { Coordinates } from './coordinates.ts';

/** Places of ours, made up: stations that the observatory at Marrow Point writes to. */
export const places: readonly ({ name: string } & Coordinates)[] = [
  { name: 'Marrow Point', latitude: 54.61, longitude: -1.04 },
  { name: 'Sallow Ness', latitude: 57.42, longitude: -6.77 },
  { name: 'Tern Skerry', latitude: 64.9, longitude: 11.1 },
  { name: 'Isvik Hut', latitude: 78.1, longitude: 15.2 },
  { name: 'Amber Spit', latitude: 55.2, longitude: 20.9 },
  { name: 'Reedwater', latitude: 45.4, longitude: 29.6 },
  { name: 'Salt Ladder', latitude: 30.7, longitude: 35.3 },
  { name: 'Kingfisher Reach', latitude: 22.1, longitude: 89.4 },
  { name: 'Mangrove Steps', latitude: 1.4, longitude: 104.1 },
  { name: 'Cinder Bay', latitude: 42.9, longitude: 144.6 },
  { name: 'Long Shingle', latitude: -43.2, longitude: 172.7 },
  { name: 'Broad Spit', latitude: -35.4, longitude: 138.7 },
  { name: 'Whale Step', latitude: -34.3, longitude: 19.2 },
  { name: 'Dry Pan', latitude: -19.6, longitude: 16.4 },
  { name: 'Ibis Bank', latitude: 13.9, longitude: -16.7 },
  { name: 'High Azimuth', latitude: 28.3, longitude: -16.6 },
  { name: 'Gannet Light', latitude: 47.2, longitude: -54.1 },
  { name: 'Cedar Slough', latitude: 45.8, longitude: -123.9 },
  { name: 'Fogbank', latitude: 51.9, longitude: -176.6 },
  { name: 'Condor Shelf', latitude: -23.1, longitude: -69.2 },
  { name: 'Last Roost', latitude: -53.3, longitude: -70.4 },
  { name: 'Petrel Station', latitude: -64.8, longitude: -62.9 },
];

/** The places, with some of one's own before them, whose name holds what is typed; those that begin with it first. */
export function placesLike(query: string, own: typeof places = []): typeof places {
  const all = [...own, ...places];
  const word = query.trim().toLowerCase();
  if (word === '') return all;
  const rank = (name: string) => (name.toLowerCase().startsWith(word) ? 0 : 1);
  return all
    .filter(({ name }) => name.toLowerCase().includes(word))
    .sort((a, b) => rank(a.name) - rank(b.name));
}
