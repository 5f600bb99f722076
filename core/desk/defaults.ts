import { plainLine, plainMark } from '../arrange/schema.ts';
import { plainPresses } from '../menus/presses.ts';
import { itemKindOf, type ItemType } from '../items/list.ts';
import { widgetKindOf, type WidgetType } from '../widgets/list.ts';
import {
  plainAdjust,
  type Adjust,
  type Backdrop,
  type Motif,
  type Picture,
  type Source,
} from '../backdrop/schema.ts';
import { plainUse } from '../text/schema.ts';
import type { Look } from '../look/schema.ts';
import type { MotifName } from '../backdrop/names.ts';
import type { Application } from './shapes/applications.ts';
import type { Edge, Item } from './shapes/edges.ts';
import type { Widget } from './shapes/widgets.ts';
import type { Side } from '../values/geometry.ts';
import type { Family } from '../values/family.ts';
import { bareFinish, type Finish } from '../values/finish.ts';
import type { Place } from '../values/place.ts';

export interface NewWidget {
  id: string;
  type: WidgetType;
  face?: string;
  place: Place;
  deskFinish: Finish;
  options?: Record<string, unknown>;
}

export function createWidget({ id, type, face, place, deskFinish, options = {} }: NewWidget): Widget {
  const kind = widgetKindOf(type);
  const chosen = face ?? kind.faces[0]?.id ?? '';
  const isBare = kind.startsBare(chosen);
  return {
    id,
    type,
    face: chosen,
    options: kind.options.parse(options),
    place,
    scale: 1,
    finish: isBare ? bareFinish(deskFinish) : null,
    locked: false,
    clicksThrough: false,
    followsWidth: false,
    shows: { by: 'always' },
    workspaces: [],
  };
}

export function createItem(
  id: string,
  type: ItemType,
  options: Record<string, unknown> = {},
  face?: string,
): Item {
  const kind = itemKindOf(type);
  return {
    id,
    type,
    face: face ?? kind.faces[0]?.id ?? '',
    options: kind.options.parse(options),
    keeps: 3,
    iconSize: null,
    before: 0,
    after: 0,
    presses: plainPresses,
  };
}

/** A panel only as long as its items, hanging from its side. */
export function createPanel(id: string, screen: string, side: Side, items: Item[]): Edge {
  return {
    id,
    kind: 'panel',
    screen,
    side,
    thickness: 40,
    iconSize: 20,
    length: { by: 'items' },
    align: 'end',
    offset: 0,
    margin: 0,
    padding: 14,
    spacing: 6,
    backing: 'strip',
    line: plainLine,
    mark: plainMark,
    growth: { factor: 1, reach: 140 },
    labels: true,
    shows: { by: 'always' },
    keepsWindowsOff: true,
    locked: false,
    finish: null,
    besideFilled: null,
    items,
  };
}

export function createApplication(
  id: string,
  Name: string,
  change: Partial<Omit<Application, 'id' | 'Name'>> = {},
): Application {
  return {
    id,
    Name,
    Comment: '',
    Icon: 'application-x-executable',
    Categories: [],
    Keywords: [],
    URL: '',
    Exec: '',
    Actions: [],
    ...change,
  };
}

/** A lit line on which bare icons stand. */
export function createDock(id: string, screen: string, side: Side, deskFinish: Finish, items: Item[]): Edge {
  return {
    ...createPanel(id, screen, side, items),
    kind: 'dock',
    thickness: 68,
    iconSize: 36,
    align: 'centre',
    margin: 20,
    padding: 6,
    spacing: 10,
    growth: { factor: 1.35, reach: 140 },
    keepsWindowsOff: false,
    finish: bareFinish(deskFinish),
  };
}

export function createMotif(motif: MotifName, seed: number, change: Partial<Motif> = {}): Motif {
  return { kind: 'motif', motif, seed, colours: 'own', controls: {}, follows: false, ...change };
}

export function createPicture(picture: string, name: string, change: Partial<Picture> = {}): Picture {
  return {
    kind: 'picture',
    picture,
    name,
    fit: 'cover',
    focal: { x: 0.5, y: 0.5 },
    turn: 0,
    mirror: false,
    ...change,
  };
}

/** A backdrop that lies where `where` says; everywhere when that says nothing. */
export function createBackdrop(
  id: string,
  source: Source,
  {
    adjust = {},
    where = {},
    spans = false,
  }: { adjust?: Partial<Adjust>; where?: Partial<Backdrop['for']>; spans?: boolean } = {},
): Backdrop {
  return {
    id,
    for: { screen: null, workspace: null, half: null, ...where },
    spans,
    source,
    adjust: { ...plainAdjust, ...adjust },
  };
}

export function createFonts(display: Family, text: Family, figures: Family): Look['fonts'] {
  return { display: plainUse(display), text: plainUse(text), figures: plainUse(figures) };
}
