import type { Finish } from '../../values/finish.ts';
import { lookUp } from '../../values/look-up.ts';
import { isRole } from '../../values/roles.ts';
import { widgetKindOf } from '../../widgets/list.ts';
import type { Desk, DeskDraft } from '../desk.ts';
import type { Whereabouts } from '../whereabouts.ts';
import { partsOf } from '../parts.ts';
import { sections } from '../sections/list.ts';
import type { Widget } from '../shapes/widgets.ts';
import { editOf } from './edit.ts';

/** Changes of parts, and of anything that can be taken away, whichever section holds it. */
export const partEdits = {
  /**
   * Takes away whatever has one of these ids, with what goes with it. What hung from it stays where it stands. Nothing
   * goes when one of them is the last of something of which one must stay.
   */
  remove: (ids: readonly string[], whereabouts: Whereabouts | null = null) =>
    editOf('Remove', (desk) => {
      const gone = new Set(ids);
      if (sections.some((section) => isLast(section, desk, gone))) return;
      for (const { forget } of sections) forget?.(desk, gone, whereabouts);
    }),

  /** A part's own finish; null follows the desk's. */
  setFinish: (ids: readonly string[], finish: Finish | null) =>
    editOf('Finish', (desk) => {
      for (const part of partsOf(desk)) if (ids.includes(part.id)) part.finish = finish;
    }),

  /** Some fields of the finishes of parts; one that has none of its own gets the desk's, so changed. */
  changeFinish: (ids: readonly string[], change: Partial<Finish>) =>
    editOf('Finish', (desk) => {
      for (const part of partsOf(desk))
        if (ids.includes(part.id)) part.finish = { ...(part.finish ?? desk.look.finish), ...change };
    }),

  /** Every part follows the desk again: no finish of its own, no colour that is not a role. A bare part stays bare. */
  followAll: () =>
    editOf('Every part follows', (desk) => {
      const { finish } = desk.look;
      if (!isRole(finish.tint)) finish.tint = 'surface';
      follow(desk, new Set(partsOf(desk).map(({ id }) => id)));
    }),

  /** The same of some parts. */
  follow: (ids: readonly string[]) => editOf('Follow the desk', (desk) => follow(desk, new Set(ids))),
};

function follow(desk: DeskDraft, chosen: ReadonlySet<string>): void {
  const { finish } = desk.look;
  for (const part of partsOf(desk))
    if (chosen.has(part.id))
      part.finish =
        part.finish?.kind === 'bare' ? { ...finish, kind: 'bare', shadow: part.finish.shadow } : null;
  for (const widget of desk.widgets) {
    if (!chosen.has(widget.id)) continue;
    const starts = startsOf(widget);
    for (const key of ownColoursOf(widget))
      widget.options = { ...widget.options, [key]: lookUp(starts, key) };
  }
}

/** Whether fewer would be left of a section than must stay. */
function isLast({ key, least = 0 }: (typeof sections)[number], desk: DeskDraft, gone: Set<string>): boolean {
  const list = desk[key];
  if (least === 0 || !Array.isArray(list)) return false;
  const left = list.filter((one) => !('id' in one && gone.has(one.id))).length;
  return left < list.length && left < least;
}

/** What the options of a widget start as. */
function startsOf({ type }: Pick<Widget, 'type'>): Record<string, unknown> {
  return widgetKindOf(type).options.parse({}) as Record<string, unknown>;
}

/** The options of a widget that are colours of its own, not roles. */
function ownColoursOf(widget: Pick<Widget, 'type' | 'options'>): string[] {
  const starts = startsOf(widget);
  return Object.entries(widget.options)
    .filter(([key, value]) => {
      const start = lookUp(starts, key);
      return typeof value === 'string' && typeof start === 'string' && isRole(start) && !isRole(value);
    })
    .map(([key]) => key);
}

/** Whether a part of this finish follows the desk's: one without its own does, and a bare one, which shows none. */
export function followsFinish(own: Finish | null): boolean {
  return own === null || own.kind === 'bare';
}

/** Parts that do not follow the desk: ids of those with a finish or a colour of their own. A bare part follows. */
export function strayParts(desk: Desk): string[] {
  return partsOf(desk)
    .filter((part) => !followsFinish(part.finish) || ('options' in part && ownColoursOf(part).length > 0))
    .map(({ id }) => id);
}
