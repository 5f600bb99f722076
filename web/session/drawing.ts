import type { Desk } from '../../core/desk/desk.ts';
import type { Widget } from '../../core/desk/shapes/widgets.ts';
import { useEffect, useState } from 'react';
import { isKindKnown, learnDesk, learnKind, learnMissing } from '../../core/scene/learn.ts';
import { widgetKinds, type WidgetType } from '../../core/widgets/list.ts';
import { ownFontAddress } from '../api/addresses.ts';
import { learnMenus } from '../../core/scene/menus/learn.ts';
import { learnWindows } from '../../core/scene/windows/learn.ts';
import { alsoLater, persist } from '../later.ts';
import { loadIconSet } from '../render/kit/icons.tsx';
import { loadOwnSet } from '../render/kit/own-sets.ts';
import { isDrawingKnown, learnDrawings } from '../render/widget-drawings.ts';
import { ownFontName } from '../render/kit/type.ts';

/** Fonts of one's own that this page has asked for. */
const asked = new Set<string>();

/** Fetches what a desk is drawn with besides its picture, before it is shown. */
export async function prepareDrawing(desk: Desk): Promise<void> {
  askForOwnFonts(desk);
  await Promise.all([
    persist(() => learnDesk(desk)),
    // Menus take keys from the first on; what they find, and the ledge, tells how busy the machine is.
    persist(learnMenus),
    persist(() => learnDrawings(typesOf(desk))),
    loadIcons(desk.look.icons),
  ]);
}

/** The sets that a desk may draw, of both halves. */
async function loadIcons({ dark, ...icons }: Desk['look']['icons']): Promise<void> {
  const worn = [icons, ...(dark ? [dark] : [])];
  await Promise.all([
    ...worn.map(({ set }) => loadIconSet(set)),
    ...worn.flatMap(({ own }) => (own ? [loadOwnSet(own.set.slice('own:'.length))] : [])),
  ]);
}

/** Fetches what a desk that was changed is worked out and drawn with. Null when all is there. */
export function prepareChanged(desk: Desk): Promise<unknown> | null {
  askForOwnFonts(desk);
  const learn = learnMissing(desk);
  const unsure = desk.widgets.filter((widget) => !drawn.has(widget));
  const types = typesOf({ widgets: unsure }).filter((type) => !isDrawingKnown(type));
  if (types.length === 0) for (const widget of unsure) drawn.add(widget);
  if (!learn && types.length === 0) return null;
  return persist(() => Promise.all([learn?.(), learnDrawings(types)]));
}

/** Widgets that were found to be of a kind that can be drawn. */
const drawn = new WeakSet<Widget>();

function typesOf({ widgets }: Pick<Desk, 'widgets'>): WidgetType[] {
  return [...new Set(widgets.map(({ type }) => type))];
}

/** The other kinds are there before somebody wants to add one, also when the server has gone. */
alsoLater(learnWindows);
alsoLater(() => Promise.all([...widgetKinds.map(({ type }) => learnKind(type)), learnDrawings()]));

/** Whether a kind of widget can be shown that need not be on the desk; fetches it where it can't. */
export function useKind(type: WidgetType): boolean {
  const isKnown = () => isDrawingKnown(type) && isKindKnown(type);
  const [isThere, setThere] = useState(isKnown);
  useEffect(() => {
    if (isThere) return;
    let isWanted = true;
    const learn = () => Promise.all([learnKind(type), learnDrawings([type])]);
    void persist(learn).then(() => isWanted && setThere(true));
    return () => {
      isWanted = false;
    };
  }, [type, isThere]);
  return isThere;
}

function askForOwnFonts(desk: Desk): void {
  for (const { id } of desk.look.ownFonts) {
    if (asked.has(id)) continue;
    asked.add(id);
    const face = new FontFace(ownFontName(id), `url(${ownFontAddress(id)})`, { weight: '1 1000' });
    document.fonts.add(face);
    // The browser checks a font too; one that it refuses leaves the fallback in its place.
    face.load().catch(() => asked.delete(id));
  }
}
