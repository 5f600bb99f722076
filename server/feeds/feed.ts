/** Brings readings of a source from outside: from this machine, a device, a service. */
export interface Feeder {
  source: string;
  origin: string;
  /** ms between two looks, while somebody wants them. */
  everyMs: number;
  /** How many readings are kept for whoever comes later. */
  kept: number;
  /** A reading, or `same` where it is the one before. */
  look(): Promise<unknown>;
}

/** What a look gives that found nothing new. */
export const same = Symbol('same');

/** Makes the feeder that somebody asks for by source and origin; null where there is none such. */
export type MakeFeeder = (source: string, origin: string) => Feeder | null;
