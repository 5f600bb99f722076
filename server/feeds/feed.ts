/** Brings readings of a source from outside: from this machine, a device, a service. */
export interface Feeder {
  source: string;
  origin: string;
  /** ms between two looks, while somebody wants them. */
  everyMs: number;
  /** How many readings are kept for whoever comes later. */
  kept: number;
  look(): Promise<unknown>;
}
