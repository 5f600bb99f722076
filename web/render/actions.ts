import { createContext } from 'react';
import type { Does } from '../../core/scene/menus/entries.ts';
import type { AnyMenu, OpenMenu } from '../../core/scene/conditions.ts';
import type { DeskAct } from '../../core/menus/acts.ts';
import type { Point } from '../../core/values/geometry.ts';
import type { SoundAct } from '../../core/sources/sound/player.ts';
import type { WindowAct } from '../../core/windows/now.ts';

/** Where a menu is asked for: from an item, or at a point of a screen; without either, on the screen in view. */
export interface MenuAsked {
  item?: string;
  screen?: string;
  at?: Point;
  /** Of the front window's menus, which. */
  index?: number;
}

/** Words that are typed in place: each state is seen at once, and in the end they are one step, or nothing. */
export interface Typing {
  /** As they are when it begins. */
  text: string;
  /** Letters that there may be. */
  most: number | undefined;
  put(text: string): void;
  end(isKept: boolean): void;
}

/** What is done in the overview. Workspaces are the document's: adding, naming and removing them are steps. */
export type OverviewAct =
  | { does: 'close' | 'take' | 'add' }
  | { does: 'type'; query: string }
  | { does: 'step'; by: number }
  | { does: 'go'; index: number }
  | { does: 'window'; window: string }
  | { does: 'start'; application: string }
  | { does: 'rename'; workspace: string; name: string }
  | { does: 'remove'; workspace: string };

/** What pressing things on a desk in use does. Null where the desk is only looked at. */
export interface DeskActions {
  /** Opens a menu, or closes it where it is open. */
  turnMenu(menu: AnyMenu, asked?: MenuAsked): void;
  closeMenu(): void;
  /** Goes on in the menu that is open. */
  stepMenu(change: Partial<OpenMenu>): void;
  /** Finds what is typed in the menu that is open. */
  find(query: string): void;
  /** Takes the entry that is chosen, once what was typed is found. */
  takeChosen(): void;
  /** Does what an entry of a menu is for. */
  choose(does: Does): void;
  /** Opens what of an edge found no room, or closes it where it is open. */
  turnMore(edge: string): void;
  /** Starts an application, or goes to the window that it has. */
  start(application: string): void;
  /** Opens another window of an application. */
  open(application: string): void;
  window(act: WindowAct): void;
  overview(act: OverviewAct): void;
  goTo(workspace: number): void;
  /** What a button of the pointer was given to do. */
  perform(act: DeskAct, asked?: MenuAsked): void;
  /** Goes to an address, asked first. */
  openLink(name: string, address: string): void;
  /** Does with a widget what its kind can do (`acts`), with which of its things. */
  act(widget: string, name: string, index?: number): void;
  /** Ticks a task of a calendar that stands in the desk, or not any more. */
  tickTask(calendar: string, uid: string, isTicked: boolean): void;
  /** Begins to write in a widget that holds words; null where it holds none. */
  write(widget: string): Promise<Typing | null>;
  /** Plays, and goes about in what is played. */
  sound(act: SoundAct): void;
  /** Says what would happen, where nothing really does. */
  say(sentence: string): void;
}

/** Id of the widget that is drawn. */
export const WidgetId = createContext<string | null>(null);

export const Actions = createContext<DeskActions | null>(null);
