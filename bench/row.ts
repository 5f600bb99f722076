/** One measured line: what, how much, and what it should reach. */
export interface Row {
  what: string;
  value: number;
  unit: string;
  /** What to reach, as a sentence; empty for figures that others are compared with. */
  reach: string;
  isMet: boolean | null;
  /** The same in time of the processor, and how many times a fixed piece of work of the same run that is. */
  processor?: { value: number; times: number };
}
