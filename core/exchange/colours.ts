import type { Roles } from '../colour/roles.ts';
import type { Terminal } from '../colour/schema.ts';
import type { Half } from '../values/roles.ts';

/** All the colours of a desk, to be written to a file of another program. */
export interface Colours {
  name: string;
  roles: Record<Half, Roles>;
  terminal: Record<Half, Terminal>;
}

/** What could be read of such a file: colours by name, or those that have their place in a desk. */
export interface ReadColours {
  /** Whatever colours there are, in order. */
  swatches: { name: string; colour: string }[];
  roles: Partial<Record<Half, Partial<Roles>>>;
  terminal: Terminal | null;
  /** What stands there as a colour and can't be read as one, with what it says. */
  unread: { name: string; value: string }[];
}
