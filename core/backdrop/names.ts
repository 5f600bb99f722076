/** The motifs that the project draws itself, and what can be set of each. The drawings are in motifs/. */
export interface MotifControl {
  id: string;
  title: string;
  /** 0 to 100 */
  start: number;
}

interface MotifFacts {
  title: string;
  controls: readonly MotifControl[];
  /** What follows the moment, when the motif is told to; the controls that then have no say. */
  follows: { what: string; instead: readonly string[] } | null;
}

const control = (id: string, title: string, start: number): MotifControl => ({ id, title, start });

const motifs = {
  headland: {
    title: 'First light',
    controls: [control('horizon', 'Horizon', 50), control('haze', 'Haze', 50), control('birds', 'Birds', 50)],
    follows: null,
  },
  bay: {
    title: 'The bay all day',
    controls: [
      control('hour', 'Sun', 62),
      control('moon', 'Moon', 35),
      control('cloud', 'Cloud', 45),
      control('horizon', 'Horizon', 50),
    ],
    follows: { what: 'the sun’s height and the moon’s phase', instead: ['hour', 'moon'] },
  },
  marsh: {
    title: 'Reed marsh',
    controls: [control('mist', 'Mist', 55), control('reeds', 'Reeds', 50), control('birds', 'Birds', 50)],
    follows: null,
  },
  fog: {
    title: 'Fog on the firs',
    controls: [control('fog', 'Fog', 60), control('ridges', 'Ridges', 50), control('firs', 'Firs', 50)],
    follows: { what: 'the fog, which lifts as the sun climbs', instead: ['fog'] },
  },
  night: {
    title: 'Night over the bay',
    controls: [control('stars', 'Stars', 50), control('beam', 'Beam', 50), control('moon', 'Moon', 0)],
    follows: { what: 'the moon’s phase and height', instead: ['moon'] },
  },
  contours: {
    title: 'Chart of the bay',
    controls: [control('lines', 'Lines', 50), control('scale', 'Scale', 50), control('land', 'Land', 50)],
    follows: null,
  },
  tide: {
    title: 'Tide lines',
    controls: [control('scale', 'Scale', 50), control('slant', 'Slant', 60), control('relief', 'Relief', 50)],
    follows: null,
  },
  lamp: {
    title: 'Harbour lamps',
    controls: [control('lamps', 'Lamps', 50), control('size', 'Size', 50), control('rain', 'Rain', 50)],
    follows: null,
  },
  strata: {
    title: 'Cut strata',
    controls: [
      control('layers', 'Layers', 50),
      control('relief', 'Relief', 50),
      control('depth', 'Depth', 50),
    ],
    follows: null,
  },
} as const satisfies Record<string, MotifFacts>;

export type MotifName = keyof typeof motifs;
export const motifNames = Object.keys(motifs) as MotifName[];

export function factsOf(motif: MotifName): MotifFacts {
  return motifs[motif];
}
