import { z } from 'zod';

/** The controls that forms have; the interface draws each (web/ui/form). */
export type ControlName =
  | 'switch'
  | 'figure'
  | 'slider'
  | 'choice'
  | 'text'
  | 'time'
  | 'times'
  | 'duration'
  | 'colour'
  | 'zone'
  | 'pattern'
  | 'expression'
  | 'told-text'
  | 'long-text'
  | 'calendar'
  | 'headlines'
  | 'mount'
  | 'interface'
  | 'application'
  | 'shortcut'
  | 'family'
  | 'picture'
  | 'own-picture'
  | 'photos'
  | 'wall-folder'
  | 'turn'
  | 'side'
  | 'point'
  | 'hanging'
  | 'chips';

/** How something looks; what there is, what it shows and does; or where it stands. */
export type Aspect = 'dress' | 'content' | 'place';

/** What a form says of a field, beside what its schema says of the value. Ranges and choices stand in the schema only. */
export interface FieldFacts {
  label: string;
  /** The trade's other words for it, by which it is found. */
  also?: string;
  /** What it does, in a sentence that is told on pointing, where the label alone doesn't say it. */
  hint?: string;
  /** Few set it: it is folded away under *More*. */
  isSeldom?: boolean;
  /** What it is as long as nobody has set it, where the schema has no default. */
  usual?: unknown;
  /** The label beside some values of the other fields, where it is another one. */
  labelFor?(values: Readonly<Record<string, unknown>>): string;
  /** What it is of what it stands in, where that says otherwise of itself (see dress.ts). */
  is?: Aspect;
  /** Fields of a group stand together under its name. */
  group?: string;
  unit?: string;
  /** What an empty field stands for. */
  placeholder?: string;
  /** Titles of the schema's choices. */
  choices?: Readonly<Record<string, string>>;
  /** Which of the choices there are beside the other values; all of them where it is absent. */
  choicesFor?(values: Readonly<Record<string, unknown>>): readonly string[];
  /** A word that the value can be instead of what its control gives: it is switched on, and off to what is said here. */
  instead?: { word: string | null; label: string; off: unknown };
  /** For a value of one of several shapes, told apart by a key: each shape's title, and what it starts as. */
  variants?: Readonly<Record<string, { label: string; start: object }>>;
  /** For a list of records: what one of them is called. */
  one?: string;
  /** What a new one starts as beside those that there are, and the fields beside the list; null where there is no room. */
  starts?(
    entries: readonly Readonly<Record<string, unknown>>[],
    beside: { values: Readonly<Record<string, unknown>>; face: string | null },
  ): Readonly<Record<string, unknown>> | null;
  /** Which control, where the schema alone would ask for another one. */
  control?: ControlName;
  /** For a colour: what goes with it where it was written with an opacity (percent). */
  withOpacity?(percent: number, values: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>>;
  /** Without a label before it: it takes the whole width. */
  isWide?: boolean;
  /** The value is shown multiplied by this: a share as percent. */
  per?: number;
  /** The least that a control changes the value by. */
  step?: number;
  decimals?: number;
  /** A slider whose each tenth multiplies instead of adding. */
  isGeometric?: boolean;
  /** Whether the field has an effect beside the other values and, of a widget or an item, under this face. */
  when?(values: Readonly<Record<string, unknown>>, face: string | null): boolean;
}

const facts = z.registry<FieldFacts>();

/** Says how a form shows a field. It is not part of the document's format: call it last, on the finished schema. */
export function field<S extends z.ZodType>(schema: S, said: FieldFacts): S {
  facts.add(schema, said);
  return schema;
}

export function fieldOf(schema: z.ZodType): FieldFacts | null {
  return facts.get(schema) ?? null;
}

/** The same field where it has an effect only beside some other values, or under some faces. */
export function fieldWhen<S extends z.ZodType>(schema: S, when: NonNullable<FieldFacts['when']>): S {
  const said = facts.get(schema);
  if (!said) throw new Error('Only what is a field already can be shown at times');
  return field(schema.clone(), { ...said, when });
}

/** What a schema says of the value itself, without its defaults and what else stands around it. */
export function unwrapped(schema: z.ZodType): z.ZodType {
  return schema instanceof z.ZodDefault || schema instanceof z.ZodNullable
    ? unwrapped(schema.unwrap() as z.ZodType)
    : schema;
}

/** Letters that a text may have; undefined where nothing bounds them. */
export function mostLetters(schema: z.ZodType): number | undefined {
  const inner = unwrapped(schema);
  return inner instanceof z.ZodString ? (inner.maxLength ?? undefined) : undefined;
}
