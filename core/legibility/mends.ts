import type { Desk } from '../desk/desk.ts';
import { plainAdjust, type Adjust } from '../backdrop/schema.ts';
import { MARGIN } from '../arrange/free-spot.ts';
import { hangFromPoint } from '../arrange/place.ts';
import { paletteOf } from '../colour/look.ts';
import type { Part } from '../desk/desk.ts';
import { partOf } from '../desk/parts.ts';
import { freePlace } from '../desk/whereabouts.ts';
import { whereaboutsOf } from '../scene/parts.ts';
import { solve } from '../scene/solve.ts';
import { toHex, toLch } from '../values/colour.ts';
import { overlaps, type Rect } from '../values/geometry.ts';
import { points, type Place } from '../values/place.ts';
import { Colour, isRole, roleTitles, type Role } from '../values/roles.ts';
import type { Finish } from '../values/finish.ts';
import { enough, judgeDesk, type JudgeConditions, type Judgement, type Sight } from './judge.ts';

/** A change that makes a text readable. */
export interface Mend {
  id: string;
  title: string;
  change:
    | { kind: 'finish'; part: string; finish: Finish | null }
    /** Of the part, or of an item on it. */
    | { kind: 'options'; part: string; item: string | null; options: Record<string, unknown> }
    | { kind: 'place'; part: string; place: Place }
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
        edges: desk.edges.map((edge) =>
          edge.id === change.part ? { ...edge, items: edge.items.map(withOptions(change)) } : edge,
        ),
        widgets: desk.widgets.map(withOptions({ ...change, item: change.part })),
      };
    case 'place':
      return {
        ...desk,
        widgets: desk.widgets.map((widget) =>
          widget.id === change.part ? { ...widget, place: change.place } : widget,
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

/** Gives options to the one that is meant. */
function withOptions({ item, options }: { item: string | null; options: Record<string, unknown> }) {
  return <One extends { id: string; options: Record<string, unknown> }>(one: One): One =>
    one.id === item ? { ...one, options: { ...one.options, ...options } } : one;
}

/** One way of mending: amounts from the least change to the most, and what each does. */
interface Way {
  id: string;
  /** More is not better: each is tried until one suffices. */
  isEach?: true;
  amounts: readonly number[];
  make: (amount: number) => Pick<Mend, 'title' | 'change'>;
}

/** What is to be mended, and where it lies. */
type Beneath = Pick<
  Judgement,
  'isShown' | 'part' | 'item' | 'colour' | 'half' | 'backdrop' | 'screen' | 'worst'
>;

/** What would make the part of a judgement readable, the least change first; each with the least amount that does. */
export async function mendsFor(
  desk: Desk,
  conditions: JudgeConditions,
  judgement: Beneath,
  sight: Sight,
  most = Infinity,
): Promise<Mend[]> {
  const found: Mend[] = [];
  for (const way of waysFor(desk, conditions, judgement)) {
    if (found.length >= most) break;
    const mend = await (way.isEach ? firstOf : leastOf)(way, async (change) => {
      const judged = await judgeDesk(mended(desk, { change }), conditions, sight, judgement.part);
      // What is never shown need not be mended with what is.
      const counting = judged.filter(
        ({ isShown, item }) =>
          (isShown || !judgement.isShown) && (ofItem(change) === null || item === ofItem(change)),
      );
      return Math.min(...counting.map(enough));
    });
    if (mend) found.push(mend);
  }
  return found;
}

/** Of how much that is hard to read a mend is sought at once. */
const MOST_MENDED = 60;

/**
 * What makes all that is hard to read readable: for one after another, the weakest first, the least change that suffices on
 * the desk as those before it left it. `left` is what no single change was enough for.
 */
export async function mendAll(
  desk: Desk,
  conditions: JudgeConditions,
  sight: Sight,
): Promise<{ mends: Mend[]; left: number }> {
  const mends: Mend[] = [];
  const tried = new Set<string>();
  let now = desk;
  for (;;) {
    const judged = await judgeDesk(now, conditions, sight);
    const weak = judged.filter((one) => one.isShown && enough(one) < 1);
    const next = weak.find(({ part, item, text }) => !tried.has(`${part} ${item ?? ''} ${text}`));
    if (!next || tried.size >= MOST_MENDED) return { mends, left: weak.length };
    tried.add(`${next.part} ${next.item ?? ''} ${next.text}`);
    const [mend] = await mendsFor(now, conditions, next, sight, 1);
    if (!mend) continue;
    mends.push(mend);
    now = mended(now, mend);
  }
}

/** The item that alone is changed; null where the whole part is. */
const ofItem = (change: Mend['change']) => (change.kind === 'options' ? change.item : null);

/** The first amount that suffices; null where none does. */
async function firstOf(
  { id, amounts, make }: Way,
  reach: (change: Mend['change']) => Promise<number>,
): Promise<Mend | null> {
  for (const amount of amounts) {
    const { title, change } = make(amount);
    const reaches = await reach(change);
    if (reaches >= 1) return { id, title, change, reaches };
  }
  return null;
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

/** Ways for the part first, the least change before others, and for the backdrop last. */
function waysFor(desk: Desk, conditions: JudgeConditions, judgement: Beneath): Way[] {
  const owner = partOf(desk, judgement.part);
  if (!owner) return [];
  const colours = coloursIn(desk, owner, judgement);
  return [
    ...colours.flatMap(([key, colour]) => waysOfTone(key, colour, judgement)),
    ...waysOfFinish(desk, owner),
    ...colours.flatMap(([key, colour]) => waysOfRoles(key, colour, judgement)),
    ...('place' in owner ? wayOfPlace(desk, conditions, judgement) : []),
    ...waysOfBackdrop(desk, judgement),
  ];
}

/** Which options give the colour that is hard to read, and what they say. */
function coloursIn(
  desk: Desk,
  owner: Part,
  { item, colour, half }: Beneath,
): [key: string, colour: Colour][] {
  const options = 'items' in owner ? owner.items.find(({ id }) => id === item)?.options : owner.options;
  const palette = paletteOf(desk.look.roles[half]);
  return Object.entries(options ?? {}).filter((entry): entry is [string, Colour] => {
    const read = Colour.safeParse(entry[1]);
    // A role is fitted to what it is thought to stand on: whichever the text is written in is told by its option's name.
    return read.success && (isRole(read.data) ? entry[0] === 'colour' : palette.colour(read.data) === colour);
  });
}

/** Of lightness, in OKLab: so finely a tone is sought. */
const TONE_STEP = 0.02;

/** A colour that a person chose becomes lighter or darker, as little as suffices; the nearer of the two comes first. */
function waysOfTone(key: string, colour: Colour, { part, item }: Beneath): Way[] {
  if (isRole(colour)) return [];
  const from = toLch(colour);
  const way = (id: string, title: string, amounts: readonly number[]): Way => ({
    id,
    amounts,
    make: (l) => {
      const tone = toHex({ ...from, l });
      return {
        title: `${title}: ${tone}`,
        change: { kind: 'options', part, item, options: { [key]: tone } },
      };
    },
  });
  return [
    way('lighter', 'A lighter tone of it', tonesTo(1, from.l)),
    way('darker', 'A darker tone of it', tonesTo(0, from.l)),
  ];
}

/** Lightnesses on the way to white or to black, which comes last. */
function tonesTo(end: 0 | 1, from: number): number[] {
  const steps = Math.ceil(Math.abs(end - from) / TONE_STEP);
  return Array.from({ length: steps }, (_, step) => {
    const l = from + Math.sign(end - from) * (step + 1) * TONE_STEP;
    return Math.min(1, Math.max(0, l));
  });
}

function waysOfRoles(key: string, colour: Colour, { part, item }: Beneath): Way[] {
  return textRoles
    .filter((role) => role !== colour)
    .map((role) => ({
      id: `role-${role}`,
      amounts: [1],
      make: () => ({
        title: `${isRole(colour) ? 'Write it' : 'Bind it and write it'} in ${roleTitles[role].toLowerCase()}`,
        change: { kind: 'options', part, item, options: { [key]: role } },
      }),
    }));
}

/** Another place of the free area where nothing else stands, the nearest first. */
function wayOfPlace(desk: Desk, conditions: JudgeConditions, { part, screen: on, half }: Beneath): Way[] {
  const screen = solve(desk, { ...conditions, half }).screens.find(({ id }) => id === on);
  const whereabouts = screen && whereaboutsOf(screen);
  const rect = whereabouts?.rects.get(part);
  if (!rect || !whereabouts) return [];
  const others = [...whereabouts.rects].filter(([id]) => id !== part).map(([, other]) => other);
  const { x, y, width, height } = whereabouts.free;
  const frame = { x: x + MARGIN, y: y + MARGIN, width: width - 2 * MARGIN, height: height - 2 * MARGIN };
  const size = { width: rect.width, height: rect.height };
  const far = (at: Rect) => Math.hypot(at.x - rect.x, at.y - rect.y);
  const spots = points
    .map((point) => hangFromPoint(point, frame, size, { x: 0, y: 0 }))
    .filter((spot) => far(spot) > MARGIN && !others.some((other) => overlaps(spot, other)))
    .sort((a, b) => far(a) - far(b));
  return [
    {
      id: 'place',
      isEach: true,
      amounts: spots.map((_, index) => index),
      make: (index) => {
        const place = freePlace(spots[index] ?? rect, whereabouts);
        const { hangs } = place;
        const where = hangs.from === 'part' ? '' : hangs.point.replace('-', ' ');
        return { title: `Put it elsewhere: ${where}`, change: { kind: 'place', part, place } };
      },
    },
  ];
}

function waysOfFinish(desk: Desk, owner: Part): Way[] {
  const part = owner.id;
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
      id: 'opacity',
      amounts: upFrom(finish.opacity, 100, 4),
      make: (opacity) => ({
        title: `More opacity: ${Math.round(finish.opacity)} to ${opacity} %`,
        change: withFinish({ opacity }),
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
  return ways;
}

function waysOfBackdrop(desk: Desk, judgement: Beneath): Way[] {
  const { backdrop } = judgement;
  const ways: Way[] = [];
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
