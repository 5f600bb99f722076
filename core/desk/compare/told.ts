import { z } from 'zod';
import { factsOf, motifNames } from '../../backdrop/names.ts';
import { setTitles } from '../../icons/schema.ts';
import { itemKinds } from '../../items/list.ts';
import type { AnyItemKind, AnyWidgetKind } from '../../kinds/kind.ts';
import { pointerTitles } from '../../pointer/schema.ts';
import { isColourString } from '../../values/colour.ts';
import { familyTitles } from '../../values/family.ts';
import { fieldOf, unwrapped } from '../../values/field.ts';
import { lookUp } from '../../values/look-up.ts';
import { Place } from '../../values/place.ts';
import { isRole, roleTitles } from '../../values/roles.ts';
import { widgetKinds } from '../../widgets/list.ts';
import type { Desk } from '../desk.ts';
import { nameOfPart } from '../part-names.ts';
import { partsOf } from '../parts.ts';
import type { Item } from '../shapes/edges.ts';

/** A value of a desk in words; a colour as itself too (a role, #rrggbb or oklch(…)). */
export interface Told {
  text: string;
  colour?: string;
}

/** Names of what a desk's ids are, by the id. */
export type Names = ReadonlyMap<string, string>;

const MOST_LETTERS = 60;
/** Values of a record that are told. */
const MOST_TOLD = 4;

export function namesOf(desk: Desk): Map<string, string> {
  const named = [...desk.screens, ...desk.workspaces, ...desk.arrangements.list];
  return new Map([
    ...named.map(({ id, name }) => [id, name] as const),
    ...desk.applications.map(({ id, Name }) => [id, Name] as const),
    ...desk.look.ownFonts.map(({ id, name }) => [id as string, name] as const),
    ...desk.look.finishes.map(({ id, name }) => [id, name] as const),
    ...desk.edges.flatMap(({ items }) => items.map((item) => [item.id, nameOfItem(item, desk)] as const)),
    ...partsOf(desk).map((part) => [part.id, nameOfPart(part)] as const),
  ]);
}

function nameOfItem({ type, options }: Item, { applications }: Desk): string {
  const application = applications.find(({ id }) => id === options['application']);
  return application?.Name ?? titleOfKind(type) ?? type;
}

type AnyKind = Pick<AnyItemKind | AnyWidgetKind, 'title' | 'faces'>;
const kinds = new Map<string, AnyKind>([...itemKinds, ...widgetKinds].map((kind) => [kind.type, kind]));

const titleOfKind = (type: string): string | undefined => kinds.get(type)?.title;

/** What a face of a kind is called. */
export function titleOfFace(type: string, face: string): string {
  return kinds.get(type)?.faces.find(({ id }) => id === face)?.title ?? face;
}

/** What values are called that have names of their own wherever they stand. */
const called = new Map<string, string>(Object.entries({ ...familyTitles, ...setTitles, ...pointerTitles }));

/** What a key is called that has no label of its own: `isFront` is “front”, `softInk` is “soft ink”. */
export function wordsOfKey(key: string): string {
  return key
    .replace(/^is(?=[A-Z])/, '')
    .replace(/([A-Z])/g, ' $1')
    .trim()
    .toLowerCase();
}

/** What a value is in words, by its schema where it is known. */
export function toldOf(schema: z.ZodType | null, value: unknown, names: Names): Told {
  if (value === undefined) return { text: 'not there' };
  const facts = schema && fieldOf(schema);
  if (facts?.instead && value === facts.instead.word) return { text: facts.instead.label.toLowerCase() };
  if (value === null) return { text: 'none' };
  switch (typeof value) {
    case 'boolean':
      return { text: value ? 'on' : 'off' };
    case 'number': {
      const amount = Number((value * (facts?.per ?? 1)).toFixed(facts?.decimals ?? 2));
      const unit = facts?.unit === 'x' || facts?.unit === 'y' ? 'px' : facts?.unit;
      return { text: unit ? `${amount} ${unit}` : String(amount) };
    }
    case 'string':
      return toldText(value, facts?.choices, names);
    default:
      return { text: cut(toldThing(schema, value as object, names)) };
  }
}

function toldText(value: string, choices: Readonly<Record<string, string>> | undefined, names: Names): Told {
  const title = choices && lookUp(choices, value);
  if (title !== undefined) return { text: title };
  if (isRole(value)) return { text: roleTitles[value], colour: value };
  if (isColourString(value)) return { text: value, colour: value };
  if (/^[0-9a-f]{64}$/.test(value)) return { text: 'a file' };
  if (/^own:/.test(value)) return { text: 'a picture of one’s own' };
  if (value === '') return { text: 'empty' };
  return { text: cut(names.get(value) ?? called.get(value) ?? value) };
}

function toldThing(schema: z.ZodType | null, value: object, names: Names): string {
  if (Array.isArray(value)) return toldList(value as readonly unknown[], names);
  if (schema && unwrapped(schema) === Place) return toldPlace(value as Place, names);
  const record = value as Readonly<Record<string, unknown>>;
  const { kind, motif, type } = record;
  if (typeof type === 'string') return titleOfKind(type) ?? type;
  const drawn = kind === 'motif' && motifNames.find((one) => one === motif);
  if (drawn) return factsOf(drawn).title;
  const name = record['name'] ?? record['Name'];
  if (typeof name === 'string' && name !== '') return name;
  const variant = fieldsOfVariant(schema, record);
  const inner = variant.schema;
  const told = Object.entries(record)
    .filter(([key]) => key !== 'id' && key !== variant.by)
    .slice(0, MOST_TOLD)
    .map(([key, one]) => {
      const field = inner ? (lookUp(inner.shape as Record<string, z.ZodType>, key) ?? null) : null;
      const label = (field && fieldOf(field)?.label.toLowerCase()) ?? wordsOfKey(key);
      // A choice says by itself what it is of.
      if (field && fieldOf(field)?.choices) return toldOf(field, one, names).text;
      if (Array.isArray(one)) return `${one.length} ${label}`;
      return `${label} ${typeof one === 'object' && one !== null ? '…' : toldOf(field, one, names).text}`;
    });
  return [variant.title, ...told].filter((one) => one !== '').join(', ') || 'as usual';
}

/** Which shape a value of several has: its title and fields. */
function fieldsOfVariant(
  schema: z.ZodType | null,
  value: Readonly<Record<string, unknown>>,
): { schema: z.ZodObject | null; by: string | null; title: string } {
  const inner = schema && unwrapped(schema);
  if (inner instanceof z.ZodObject) return { schema: inner, by: null, title: '' };
  if (!(inner instanceof z.ZodDiscriminatedUnion)) return { schema: null, by: null, title: '' };
  const by = inner.def.discriminator;
  const which = String(lookUp(value, by));
  const title = (schema && lookUp(fieldOf(schema)?.variants ?? {}, which)?.label) ?? wordsOfKey(which);
  return { schema: optionOf(inner, value), by, title };
}

/** The shape of a union that a value has; null when it has none. */
export function optionOf(union: z.ZodDiscriminatedUnion, value: unknown): z.ZodObject | null {
  if (typeof value !== 'object' || value === null) return null;
  const by = union.def.discriminator;
  const which = lookUp(value as Record<string, unknown>, by);
  const options = union.options as readonly z.ZodObject[];
  return (
    options.find((option) => {
      const key = lookUp(option.shape as Record<string, z.ZodType>, by);
      return key?.safeParse(which).success ?? false;
    }) ?? null
  );
}

function toldList(list: readonly unknown[], names: Names): string {
  if (list.length === 0) return 'none';
  if (list.every((one) => typeof one === 'string'))
    return list.map((one) => toldText(one, undefined, names).text).join(', ');
  if (list.every((one) => typeof one === 'number')) return list.join(', ');
  return String(list.length);
}

function toldPlace({ hangs, x, y }: Place, names: Names): string {
  const [across, down] = [x, y].map((one) => Number(one.toFixed(1)));
  if (hangs.from === 'part')
    return `${across}, ${down} px from ${names.get(hangs.part) ?? 'a part'}, ${sides[hangs.side]}`;
  return `${across}, ${down} px from the ${hangs.point.replace('-', ' ')}`;
}
const sides = { top: 'above it', right: 'to its right', bottom: 'below it', left: 'to its left' };

function cut(text: string): string {
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 1)}…` : text;
}
