import { z } from 'zod';
import { fieldOf, unwrapped } from '../../values/field.ts';
import { lookUp } from '../../values/look-up.ts';
import { Place } from '../../values/place.ts';
import { capital } from '../../values/words.ts';
import type { Desk } from '../desk.ts';
import { backwards, differencesOf, isNamed, withDifferences, type Difference } from '../differences.ts';
import { editOf, type Edit } from '../edits/edit.ts';
import { partsOf } from '../parts.ts';
import { nameOfPart } from '../part-names.ts';
import { DeskShape } from '../schema.ts';
import { sections } from '../sections/list.ts';
import { Arrangement } from '../shapes/arrangements.ts';
import { namesOf, optionOf, titleOfFace, toldOf, wordsOfKey, type Names, type Told } from './told.ts';

/** Something that two states of a desk have differently and that can be taken by itself, in words. */
export interface Compared {
  /** Of this comparison alone. */
  key: string;
  /** What it is, and in what: “Corner radius”, “finish”. */
  title: string;
  within: string;
  here: Told;
  there: Told;
  /** What the other state has is in force. */
  isTaken: boolean;
  /** From what is here to what is there. */
  differences: readonly Difference[];
}

/** What differs of a part, or of something else of the desk. */
export interface ComparedGroup {
  key: string;
  title: string;
  /** Id of the part; null where it is none. */
  part: string | null;
  entries: Compared[];
}

/** Values that mean something together: a place is taken whole, and so is where an arrangement has things. */
const wholes: ReadonlySet<z.ZodType> = new Set<z.ZodType>([
  Place,
  Arrangement.shape.widgets,
  Arrangement.shape.edges,
  Arrangement.shape.windows,
]);

/** Not of the desk's making: which it is, what format it has, what was put on last, in which arrangement it lies. */
const apart: ReadonlySet<string> = new Set(['id', 'format', 'wears', 'arrangements.standing']);

/**
 * What differs between a desk and another state, group by group: parts first, in the order in which they are painted.
 * What was taken over of it since `base` stands among it as taken, so that it can be given back.
 */
export function compare(base: Desk, now: Desk, other: Desk): ComparedGroup[] {
  const names = new Map([...namesOf(other), ...namesOf(now)]);
  const open = entriesOf(now, other, names);
  const known = new Set(open.map(({ key }) => key));
  // It lies within what still differs, or around it: that is told already.
  const isTold = (key: string) =>
    [...known].some((one) => one === key || one.startsWith(`${key}/`) || key.startsWith(`${one}/`));
  const taken = (base === now ? [] : entriesOf(base, other, names))
    .filter(({ key }) => !isTold(key))
    .map((entry) => ({ ...entry, isTaken: true }));
  return grouped([...open, ...taken], now, other);
}

/** Takes over some of what the other state has; of what was taken, gives back what was here before. */
export function takeCompared(label: string, entries: readonly Compared[]): Edit {
  return editOf(label, (desk) => {
    const differences = entries.flatMap((entry) =>
      entry.isTaken ? backwards(entry.differences) : entry.differences,
    );
    Object.assign(desk, withDifferences(desk as Desk, differences));
  });
}

interface Entry extends Compared {
  path: Difference['path'];
}

function entriesOf(here: Desk, there: Desk, names: Names): Entry[] {
  const byKey = new Map<string, { unit: Unit; differences: Difference[] }>();
  for (const difference of differencesOf(here, there).filter(isMeant)) {
    const unit = unitOf(difference, here, there, names);
    const key = keyOf(unit.path, difference.isOrder);
    const known = byKey.get(key);
    if (known) known.differences.push(difference);
    else byKey.set(key, { unit, differences: [difference] });
  }
  return [...byKey].map(([key, { unit, differences }]) => ({
    key,
    path: unit.path,
    ...wordsOf(unit, differences, names),
    isTaken: false,
    differences,
  }));
}

const isMeant = ({ path }: Difference) =>
  !apart.has(String(path[0])) && !apart.has(path.slice(0, 2).join('.'));

const keyOf = (path: Difference['path'], isOrder?: true) =>
  [...path, ...(isOrder ? ['order'] : [])].join('/');

/** The smallest thing around a difference that can be taken by itself. */
interface Unit {
  path: Difference['path'];
  schema: z.ZodType | null;
  here: unknown;
  there: unknown;
  /** What stands on the way to it, in words. */
  words: string[];
  /** The kind of the part or item that it is in; empty where it is in none. */
  type: string;
}

function unitOf({ path }: Difference, desk: Desk, other: Desk, names: Names): Unit {
  let unit: Unit = { path: [], schema: DeskShape, here: desk, there: other, words: [], type: '' };
  while (unit.path.length < path.length && !isWhole(unit)) unit = within(unit, path, names);
  return unit;
}

/** Whether what lies within has no meaning by itself. */
function isWhole({ path, schema, here, there }: Unit): boolean {
  if (path.length === 0) return false;
  if (!isThing(here) || !isThing(there) || (schema && wholes.has(schema))) return true;
  if (schema && fieldOf(schema)?.control) return true;
  const inner = schema && unwrapped(schema);
  if (inner && wholes.has(inner)) return true;
  if (Array.isArray(here) && Array.isArray(there)) return !here.every(isNamed) || !there.every(isNamed);
  if (inner instanceof z.ZodDiscriminatedUnion) return optionOf(inner, here) !== optionOf(inner, there);
  if (inner instanceof z.ZodObject) return (inner.def.checks ?? []).length > 0;
  return inner !== null;
}

/** A step further on the way to a difference. */
function within(unit: Unit, path: Difference['path'], names: Names): Unit {
  const step = path[unit.path.length] ?? '';
  const inner = unit.schema && unwrapped(unit.schema);
  const type = typeOf(unit.here) ?? unit.type;
  const next = { path: path.slice(0, unit.path.length + 1), type };
  if (Array.isArray(unit.here) || Array.isArray(unit.there)) {
    const [here, there] = [byName(unit.here, step), byName(unit.there, step)];
    const schema = inner instanceof z.ZodArray ? (inner.element as z.ZodType) : null;
    return { ...next, schema, here, there, words: [...unit.words, nameOf(here ?? there, names)] };
  }
  const shape =
    inner instanceof z.ZodDiscriminatedUnion
      ? (optionOf(inner, unit.here) ?? optionOf(inner, unit.there))
      : inner;
  const schema =
    shape instanceof z.ZodObject
      ? (lookUp(shape.shape as Record<string, z.ZodType>, String(step)) ?? null)
      : null;
  const word = (schema && fieldOf(schema)?.label) ?? wordsOfKey(String(step));
  const [here, there] = [unit.here, unit.there].map((thing) =>
    isThing(thing) ? lookUp(thing as Record<string, unknown>, String(step)) : undefined,
  );
  return { ...next, schema, here, there, words: [...unit.words, word] };
}

function wordsOf(
  { path, schema, here, there, words, type }: Unit,
  differences: readonly Difference[],
  names: Names,
): Pick<Compared, 'title' | 'within' | 'here' | 'there'> {
  const [order] = differences.filter(({ isOrder }) => isOrder);
  const isPart = isOfPart(path);
  const own = words.slice(isPart ? 2 : 1).filter((word) => !silent.has(word));
  if (order && differences.length === 1)
    return {
      title: 'Order',
      within: own.join(', ').toLowerCase(),
      here: toldOf(null, order.before, names),
      there: toldOf(null, order.after, names),
    };
  const title = capital(own.at(-1) ?? (isPart ? 'Stands on the desk' : (words.at(-1) ?? '')));
  const told = (value: unknown): Told =>
    // A thing that is there or isn't has its name in the title.
    here === undefined || there === undefined
      ? { text: value === undefined ? 'not there' : 'there' }
      : path.at(-1) === 'face' && type !== ''
        ? { text: titleOfFace(type, String(value)) }
        : toldOf(schema, value, names);
  return { title, within: own.slice(0, -1).join(', ').toLowerCase(), here: told(here), there: told(there) };
}

/** Keys that say nothing to whoever reads. */
const silent: ReadonlySet<string> = new Set(['options', 'items']);

const isOfPart = (path: Difference['path']) =>
  (path[0] === 'widgets' || path[0] === 'edges') && typeof path[1] === 'string';

function grouped(entries: readonly Entry[], now: Desk, other: Desk): ComparedGroup[] {
  const parts = [...partsOf(now), ...partsOf(other)];
  const titles = new Map<string, string>(sections.map(({ key, title }) => [key, title]));
  const groups = new Map<string, ComparedGroup>();
  for (const { path, ...entry } of entries) {
    const [section = '', id] = path.map(String);
    const part = isOfPart(path) ? id : undefined;
    const found = part === undefined ? undefined : parts.find((one) => one.id === part);
    const key = found?.id ?? (titles.has(section) ? section : 'desk');
    const title = found ? capital(nameOfPart(found)) : (titles.get(section) ?? 'The desk');
    const group = groups.get(key) ?? { key, title, part: found?.id ?? null, entries: [] };
    group.entries.push(entry);
    groups.set(key, group);
  }
  return [...groups.values()].sort((a, b) => Number(a.part === null) - Number(b.part === null));
}

function byName(list: unknown, id: string | number): unknown {
  return Array.isArray(list) ? list.find((one) => isNamed(one) && one.id === id) : undefined;
}

function nameOf(thing: unknown, names: Names): string {
  if (!isNamed(thing)) return '';
  const { id, name, Name, type } = thing as { id: string } & Record<string, unknown>;
  const known = names.get(id) ?? name ?? Name ?? type;
  return typeof known === 'string' ? known : id;
}

function typeOf(value: unknown): string | undefined {
  const type = isThing(value) ? (value as Record<string, unknown>)['type'] : undefined;
  return typeof type === 'string' ? type : undefined;
}

function isThing(value: unknown): value is object {
  return typeof value === 'object' && value !== null;
}
