import { z } from 'zod';
import { OwnFinish } from '../../values/finish.ts';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { MOST_EXPRESSION } from '../../expressions/text.ts';
import { Place } from '../../values/place.ts';
import { atLeastOne, type TypeOf } from '../../values/types.ts';
import { widgetKinds, type WidgetType } from '../../widgets/list.ts';
import { content, dress } from '../../values/dress.ts';

/** What every widget has, whatever its kind. */
export const WidgetFrame = z.looseObject({
  id: Id,
  place: Place,
  scale: field(z.number().min(0.1).max(10), {
    label: 'Scale',
    is: 'place',
    control: 'slider',
    step: 0.05,
    decimals: 2,
    isGeometric: true,
  }),
  followsWidth: field(
    z.boolean().meta({ description: 'As wide as the part that it hangs from, where its kind has a width' }),
    { label: 'Same width', hint: 'As wide as the part that it hangs from', is: 'place' },
  ),
  finish: OwnFinish,
  locked: field(z.boolean(), { label: 'Locked', is: 'content', group: 'Locking' }),
  clicksThrough: field(z.boolean(), {
    label: 'Passes clicks on',
    hint: 'A press goes to what lies beneath it',
    is: 'content',
    group: 'Locking',
  }),
  shows: field(
    z.discriminatedUnion('by', [
      z.looseObject({ by: z.literal('always') }),
      z.looseObject({
        by: z.literal('near'),
        reach: field(z.number().min(0).max(2000), { label: 'Distance', unit: 'px', step: 10 }),
      }),
      z.looseObject({
        by: z.literal('while'),
        holds: field(z.string().max(MOST_EXPRESSION), {
          label: 'While',
          placeholder: 'weather.chance > 30',
          control: 'expression',
          isWide: true,
        }),
      }),
    ]),
    {
      label: 'Shown',
      isWide: true,
      is: 'content',
      variants: {
        always: { label: 'Always', start: {} },
        near: { label: 'Pointer near', start: { reach: 60 } },
        while: { label: 'While …', start: { holds: 'sun.up' } },
      },
    },
  ),
  workspaces: content(
    z
      .array(Id)
      .max(32)
      .meta({ description: 'Ids of the workspaces that it is shown on; on all where there is none' }),
  ),
});
const widgetSchemas = widgetKinds.map((kind) =>
  dress(
    WidgetFrame.extend({
      type: content(z.literal(kind.type)),
      face: z.enum(kind.faces.map((face) => face.id) as [string, ...string[]]),
      options: kind.options,
    }),
  ),
);
/** A widget; its options were checked against the schema of its kind. */
export interface Widget extends TypeOf<typeof WidgetFrame> {
  type: WidgetType;
  face: string;
  options: Record<string, unknown>;
}

/** The schema of a widget, whatever its kind. */
export const WidgetSchema = z.discriminatedUnion('type', atLeastOne(widgetSchemas));

/** Ids of the widgets from which following what they hang from leads back to them. Each is passed once. */
export function widgetsInCircles(list: readonly Widget[]): Set<string> {
  const hosts = hostsOf(list);
  const done = new Set<string>();
  const inCircle = new Set<string>();
  for (const { id } of list) {
    const passed: string[] = [];
    const here = new Set<string>();
    let at: string | undefined = id;
    while (at !== undefined && !done.has(at) && !here.has(at)) {
      passed.push(at);
      here.add(at);
      at = hosts.get(at);
    }
    // Met again on the same way: from there on it is a circle.
    if (at !== undefined && here.has(at))
      for (const one of passed.slice(passed.indexOf(at))) inCircle.add(one);
    for (const one of passed) done.add(one);
  }
  return inCircle;
}

/** What each widget that hangs from a part hangs from. */
function hostsOf(list: readonly Widget[]): Map<string, string> {
  return new Map(
    list.flatMap(({ id, place: { hangs } }) => (hangs.from === 'part' ? [[id, hangs.part] as const] : [])),
  );
}

/** Ids of some parts, and of all that they hang from, in however many steps. */
export function hostsWith(ids: readonly string[], list: readonly Widget[]): Set<string> {
  const hosts = hostsOf(list);
  const found = new Set(ids);
  // A set is walked to its end while it grows.
  for (const id of found) {
    const host = hosts.get(id);
    if (host !== undefined) found.add(host);
  }
  return found;
}

/** Ids of a part and of all widgets that hang from it, in however many steps. */
export function hangingFrom(id: string, list: readonly Widget[]): Set<string> {
  const guests = new Map<string, string[]>();
  for (const [guest, host] of hostsOf(list)) {
    const others = guests.get(host);
    if (others) others.push(guest);
    else guests.set(host, [guest]);
  }
  const found = new Set([id]);
  // A set is walked to its end while it grows.
  for (const part of found) for (const guest of guests.get(part) ?? []) found.add(guest);
  return found;
}
