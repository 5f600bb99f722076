import type { Desk } from '../desk/desk.ts';
import { plainAdjust, type Adjust } from '../backdrop/schema.ts';
import { partOf } from '../desk/parts.ts';
import { isRole, roleTitles, type Role } from '../values/roles.ts';
import type { Finish } from '../values/finish.ts';
import { enough, judgeDesk, type JudgeConditions, type Judgement, type PixelsOf } from './judge.ts';

/** A change that makes a text readable. */
export interface Mend {
  id: string;
  title: string;
  change:
    | { kind: 'finish'; part: string; finish: Finish | null }
    | { kind: 'options'; part: string; options: Record<string, unknown> }
    | { kind: 'adjust'; backdrop: string; adjust: Partial<Adjust> };
  /** The contrast of the part's weakest text afterwards, as a share of what it needs. */
  reaches: number;
}

/** A desk with a mend done to it. */
export function mended(desk: Desk, { change }: Pick<Mend, 'change'>): Desk {
  switch (change.kind) {
    case 'finish': {
      const give = <P extends { id: string }>(part: P): P =>
        part.id === change.part ? { ...part, finish: change.finish } : part;
      return { ...desk, edges: desk.edges.map(give), widgets: desk.widgets.map(give) };
    }
    case 'options':
      return {
        ...desk,
        widgets: desk.widgets.map((widget) =>
          widget.id === change.part
            ? { ...widget, options: { ...widget.options, ...change.options } }
            : widget,
        ),
      };
    case 'adjust':
      return {
        ...desk,
        backdrops: desk.backdrops.map((backdrop) =>
          backdrop.id === change.backdrop
            ? { ...backdrop, adjust: { ...backdrop.adjust, ...change.adjust } }
            : backdrop,
        ),
      };
  }
}

/** One way of mending: amounts from the least change to the most, and what each does. */
interface Way {
  id: string;
  amounts: readonly number[];
  make: (amount: number) => Pick<Mend, 'title' | 'change'>;
}

/** What is to be mended, and where it lies. */
type Beneath = Pick<Judgement, 'isShown' | 'part' | 'backdrop' | 'screen' | 'worst'>;

/** What would make the part of a judgement readable, the least change first; each with the least amount that does. */
export async function mendsFor(
  desk: Desk,
  conditions: JudgeConditions,
  judgement: Beneath,
  pixelsOf: PixelsOf,
): Promise<Mend[]> {
  const found: Mend[] = [];
  for (const way of waysFor(desk, judgement)) {
    const mend = await leastOf(way, async (change) => {
      const judged = await judgeDesk(mended(desk, { change }), conditions, pixelsOf, judgement.part);
      // What is never shown need not be mended with what is.
      const counting = judged.filter(({ isShown }) => isShown || !judgement.isShown);
      return Math.min(...counting.map(enough));
    });
    if (mend) found.push(mend);
  }
  return found;
}

/** Halves the amounts until the least that suffices is found; null when the most does not. */
async function leastOf(
  { id, amounts, make }: Way,
  reach: (change: Mend['change']) => Promise<number>,
): Promise<Mend | null> {
  let answer: Mend | null = null;
  let low = 0;
  let high = amounts.length - 1;
  // The most first: where that is too little, nothing less will do.
  let at = high;
  while (low <= high) {
    const amount = amounts[at];
    if (amount === undefined) break;
    const { title, change } = make(amount);
    const reaches = await reach(change);
    if (reaches >= 1) {
      answer = { id, title, change, reaches };
      high = at - 1;
    } else if (answer === null) {
      return null;
    } else {
      low = at + 1;
    }
    at = Math.floor((low + high) / 2);
  }
  return answer;
}

const surfaceTints: readonly Role[] = ['ground', 'surface', 'raised'];
const textRoles: readonly Role[] = ['ink', 'softInk', 'ground', 'accent'];

function waysFor(desk: Desk, judgement: Beneath): Way[] {
  const { part, backdrop } = judgement;
  const owner = partOf(desk, part);
  if (!owner) return [];
  const finish = owner.finish ?? desk.look.finish;
  const withFinish = (change: Partial<Finish>): Mend['change'] => ({
    kind: 'finish',
    part,
    finish: { ...finish, ...change },
  });
  const isSheer = finish.kind === 'sheer' || finish.kind === 'frosted';
  const ways: Way[] = [];
  if (isSheer) {
    ways.push({
      id: 'sheerness',
      amounts: downFrom(finish.sheerness, 0, 4),
      make: (sheerness) => ({
        title: `Less sheer: ${Math.round(finish.sheerness)} to ${sheerness} %`,
        change: withFinish({ sheerness }),
      }),
    });
  }
  if (finish.kind === 'frosted') {
    ways.push({
      id: 'blur',
      amounts: upFrom(finish.blur, 60, 4),
      make: (blur) => ({
        title: `More blur: ${Math.round(finish.blur)} to ${blur} px`,
        change: withFinish({ blur }),
      }),
    });
  }
  if (finish.kind !== 'bare') {
    for (const tint of surfaceTints.filter((role) => role !== finish.tint)) {
      ways.push({
        id: `tint-${tint}`,
        amounts: [1],
        make: () => ({
          title: `Tint it with ${roleTitles[tint].toLowerCase()}`,
          change: withFinish({ tint }),
        }),
      });
    }
  } else {
    ways.push(
      {
        id: 'shadow',
        amounts: upFrom(finish.shadow, 100, 5),
        make: (shadow) => ({ title: `A soft shade behind it: ${shadow} %`, change: withFinish({ shadow }) }),
      },
      {
        id: 'surface',
        amounts: [1],
        make: () => ({ title: 'Give it the desk’s surface', change: { kind: 'finish', part, finish: null } }),
      },
    );
  }
  const colour = 'options' in owner ? owner.options['colour'] : undefined;
  if (typeof colour === 'string') {
    for (const role of textRoles.filter((role) => role !== colour)) {
      ways.push({
        id: `role-${role}`,
        amounts: [1],
        make: () => ({
          title: `${isRole(colour) ? 'Write it' : 'Bind it and write it'} in ${roleTitles[role].toLowerCase()}`,
          change: { kind: 'options', part, options: { colour: role } },
        }),
      });
    }
  }
  const adjust = desk.backdrops.find(({ id }) => id === backdrop)?.adjust ?? plainAdjust;
  const toward = sideOf(desk, judgement);
  // One darkening at a time: one that comes from elsewhere already stays.
  if (adjust.darken.strength === 0 || adjust.darken.toward === toward) {
    ways.push({
      id: 'darken-there',
      amounts: upFrom(adjust.darken.strength, 100, 5),
      make: (strength) => ({
        title: `Darken the backdrop ${sideTitles[toward]}: ${strength} %`,
        change: { kind: 'adjust', backdrop, adjust: { darken: { toward, strength } } },
      }),
    });
  }
  const brightness = (id: string, verb: string, amounts: readonly number[]): Way => ({
    id,
    amounts,
    make: (amount) => ({
      title: `${verb} the backdrop: brightness ${Math.round(adjust.brightness)} to ${amount}`,
      change: { kind: 'adjust', backdrop, adjust: { brightness: amount } },
    }),
  });
  ways.push(
    brightness('darken', 'Darken', downFrom(adjust.brightness, -80, 4)),
    brightness('lighten', 'Lighten', upFrom(adjust.brightness, 80, 4)),
  );
  return ways;
}

const sideTitles = {
  top: 'at the top',
  bottom: 'at the bottom',
  left: 'on the left',
  right: 'on the right',
} as const;

/** The side of the screen that a place is nearest to, by its share of the way across. */
function sideOf({ screens }: Desk, { screen, worst }: Beneath): keyof typeof sideTitles {
  const { width = 1, height = 1 } = screens.find(({ id }) => id === screen) ?? {};
  const [x, y] = [worst.x / width, worst.y / height];
  const near = Math.min(x, 1 - x, y, 1 - y);
  if (near === y) return 'top';
  if (near === 1 - y) return 'bottom';
  return near === x ? 'left' : 'right';
}

function downFrom(value: number, end: number, step: number): number[] {
  const amounts: number[] = [];
  for (let at = Math.ceil(value) - step; at > end; at -= step) amounts.push(at);
  return value > end ? [...amounts, end] : [];
}

function upFrom(value: number, end: number, step: number): number[] {
  const amounts: number[] = [];
  for (let at = Math.floor(value) + step; at < end; at += step) amounts.push(at);
  return value < end ? [...amounts, end] : [];
}
