import type { Draft } from 'immer';
import type { Backdrop } from '../backdrop/schema.ts';
import type { Look } from '../look/schema.ts';
import type { GeoPlace } from '../values/earth.ts';
import type { Arrangements } from './shapes/arrangements.ts';
import type { Application } from './shapes/applications.ts';
import type { Edge } from './shapes/edges.ts';
import type { DesktopIcons } from '../icons/desktop.ts';
import type { DeskKey } from '../menus/keys.ts';
import type { Menus } from '../menus/schema.ts';
import type { Group } from './shapes/groups.ts';
import type { Screen } from './shapes/screens.ts';
import type { Sources } from './shapes/sources.ts';
import type { Widget } from './shapes/widgets.ts';
import type { Windows } from '../windows/schema.ts';
import type { Worn } from './shapes/worn.ts';
import type { Workspace } from './shapes/workspaces.ts';

/** What each section of the document holds; sections/list.ts says how each is checked. */
export interface Sections {
  screens: Screen[];
  look: Look;
  backdrops: Backdrop[];
  edges: Edge[];
  widgets: Widget[];
  groups: Group[];
  menus: Menus;
  keys: DeskKey[];
  sources: Sources;
  applications: Application[];
  workspaces: Workspace[];
  arrangements: Arrangements;
  windows: Windows;
  desktopIcons: DesktopIcons;
}

export const FORMAT = 15;

/** The document. */
export interface Desk extends Sections {
  format: typeof FORMAT;
  id: string;
  name: string;
  place: GeoPlace;
  /** Of everything simulated on the desk. */
  seed: number;
  /** The kit that was put on last. */
  wears: Worn | null;
}

export type DeskDraft = Draft<Desk>;

/** A part: something with a place and a finish of its own, whichever section holds it. */
export type Part = Edge | Widget;
