import { lookUp } from '../../core/values/look-up.ts';
import { widgetKindOf } from '../../core/widgets/list.ts';
import { isWebAddress } from '../../core/values/link.ts';
import { menuOpenedBy, type OpenerAct } from '../../core/menus/openers.ts';
import type { AnyMenu } from '../../core/scene/conditions.ts';
import { named } from '../../core/desk/edits/edit.ts';
import { edits } from '../../core/desk/edits/edits.ts';
import { isWindowAct, type DeskAct, type WindowAct } from '../../core/menus/acts.ts';
import { isSessionAct, sessionActs } from '../../core/values/acts.ts';
import { persist } from '../later.ts';
import type { DeskActions, MenuAsked } from '../render/actions.ts';
import { toast } from '../ui/toast.ts';
import { chooseNextArrangement } from './arrangements.ts';
import { useConditions } from './conditions.ts';
import { presentDesk, useDesk } from './desk.ts';
import { keepLately } from './lately.ts';
import { useScene } from './scene.ts';
import type * as WindowsModule from './windows/windows.ts';

/** What the page that shows the desk in use knows and can do beside it. */
interface Page {
  /** Id of the screen in view. */
  screen(): string | null;
  /** Goes to where the desk is arranged. */
  arrange(): void;
}
let page: Page = { screen: () => null, arrange: () => undefined };

export function usedOn(next: Page): void {
  page = next;
}

/** What pressing things does wherever the open desk is used: conditions change; of the document only timers, what is ticked and written, and which arrangement is on. */
export const deskActions: DeskActions = {
  turnMenu(menu, asked = {}) {
    const { open, setOpen } = useConditions.getState();
    if (
      open?.menu === menu &&
      open.index === asked.index &&
      (asked.item === undefined || open.item === asked.item) &&
      !asked.at
    )
      return setOpen(null);
    openMenu(menu, asked);
  },
  closeMenu: () => useConditions.getState().setOpen(null),
  stepMenu(change) {
    const { open, setOpen } = useConditions.getState();
    if (open) setOpen({ ...open, ...change });
  },
  find(query) {
    deskActions.stepMenu({ query });
    pending = find(query);
  },
  takeChosen: () => void takeChosen(),
  choose(does) {
    switch (does.by) {
      case 'start':
        deskActions.closeMenu();
        return start(does.application, does.action);
      case 'act':
        deskActions.closeMenu();
        return deskActions.perform(does.act);
      case 'window':
        deskActions.closeMenu();
        return deskActions.window({ does: 'show', window: does.window });
      case 'say':
        deskActions.closeMenu();
        return deskActions.say(does.sentence);
      case 'workspace':
        deskActions.closeMenu();
        return deskActions.goTo(does.index);
      case 'folder':
        return deskActions.stepMenu({ folder: does.folder, chosen: 0, page: 0, found: null });
      case 'take':
        deskActions.closeMenu();
        return take(does.text);
    }
  },
  turnMore: (edge) =>
    useConditions.getState().setMore(useConditions.getState().openMore === edge ? null : edge),
  start: (application) =>
    isRunning(application) ? onWindows(({ press }) => press(application)) : start(application),
  open: (application) => onWindows(({ open }) => open(application, page.screen())),
  overview: (act) => onWindows(({ doOverview }) => doOverview(act)),
  window: (act) => onWindows(({ doWindow }) => doWindow(act)),
  goTo: (workspace) => useConditions.getState().goTo(workspace),
  perform(act, asked) {
    if (isSessionAct(act)) return deskActions.say(sessionActs[act].would);
    if (isWindowAct(act)) return onWindows(({ perform }) => perform(act, page.screen()));
    const menu = menuOpenedBy(act);
    if (menu) return deskActions.turnMenu(menu.key, asked);
    performs[act as OwnAct](asked);
  },
  openLink,
  act: (widget, name, index = 0) => void actOn(widget, name, index),
  tickTask: (...task) => void tickTask(...task),
  async write(id) {
    const { startTyping, typedOf } = await persist(() => import('./typing.ts'));
    const typed = typedOf(id);
    return typed && startTyping(typed);
  },
  sound: (act) =>
    void persist(() => import('./sound/player.ts')).then(({ soundPlayer }) => soundPlayer.perform(act)),
  say: (sentence) => void toast(sentence),
};

let windowsKnown: typeof WindowsModule | null = null;

/** Windows are worked by code that comes with the first of them; what is done meanwhile is done in order, and later at once. */
export function onWindows(act: (windows: typeof WindowsModule) => void): void {
  if (windowsKnown) return act(windowsKnown);
  void persist(() => import('./windows/windows.ts')).then((windows) => {
    windowsKnown = windows;
    act(windows);
  });
}

type OwnAct = Exclude<DeskAct, keyof typeof sessionActs | WindowAct | OpenerAct>;

const performs: Record<OwnAct, (asked?: MenuAsked) => void> = {
  'desk-menu': (asked) => deskActions.turnMenu('deskMenu', asked),
  'front-menus': (asked) => deskActions.turnMenu('frontMenu', { ...asked, index: 0 }),
  'next-workspace': () => stepWorkspace(1),
  'previous-workspace': () => stepWorkspace(-1),
  'next-arrangement': chooseNextArrangement,
  'next-backdrop': nextBackdrop,
  effects: () => useConditions.setState(({ isPlain }) => ({ isPlain: !isPlain })),
  quiet: turnQuiet,
  sound: () => deskActions.sound({ does: 'turn' }),
  'next-piece': () => deskActions.sound({ does: 'next' }),
  half: lookAtOtherHalf,
  arrange: () => page.arrange(),
};

/** Opens a menu on the screen of what asked for it. */
function openMenu(menu: AnyMenu, { item, screen, at, index }: MenuAsked): void {
  const edge = presentDesk()?.edges.find(({ items }) => items.some(({ id }) => id === item));
  const on = edge?.screen ?? screen ?? page.screen() ?? presentDesk()?.screens[0]?.id;
  if (on) useConditions.getState().setOpen({ menu, screen: on, item: item ?? null, at: at ?? null, index });
}

const isRunning = (application: string) =>
  useConditions.getState().windows.some((one) => one.application === application);

/** Starts an application: it opens a window, or an address that is asked for first. */
function start(id: string, action?: string): void {
  const application = presentDesk()?.applications.find((one) => one.id === id);
  if (!application) return;
  useConditions.getState().used(id);
  keepLately(useConditions.getState().lately);
  const what = application.Actions.find((one) => one.id === action)?.Name;
  if (what) toast(`${application.Name} would open: ${what}.`);
  if (application.URL) openLink(application.Name, application.URL);
  else onWindows(({ open }) => open(id, page.screen()));
}

/** Goes to an address once somebody has seen it and says so. */
function openLink(name: string, address: string): void {
  // Of the web only, whoever names it: other addresses may run something.
  if (!isWebAddress(address)) {
    toast.warning(`${name || 'This'} names no web address, so nothing is opened.`);
    return;
  }
  toast(`${name} opens ${address}`, {
    duration: 20_000,
    action: { label: 'Open it', onClick: () => void window.open(address, '_blank', 'noopener,noreferrer') },
  });
}

async function tickTask(id: string, uid: string, isTicked: boolean): Promise<void> {
  const calendar = presentDesk()?.sources.outside.calendars.find((one) => one.id === id);
  if (calendar?.from.by !== 'file') return;
  const before = calendar.from.text;
  try {
    const { tickInWorker } = await persist(() => import('../workers/calendars.ts'));
    const text = await tickInWorker(before, uid, isTicked, Date.now());
    const now = presentDesk()?.sources.outside.calendars.find((one) => one.id === id);
    // Another task was ticked meanwhile: this one is ticked in what came of that.
    if (now?.from.by === 'file' && now.from.text !== before) return await tickTask(id, uid, isTicked);
    useDesk.getState().edit(named(isTicked ? 'Task done' : 'Task to do', edits.setCalendarText(id, text)));
  } catch {
    toast.warning('The task could not be ticked: its calendar can’t be read.');
  }
}

async function actOn(id: string, name: string, index: number): Promise<void> {
  const kind = presentDesk()?.widgets.find((one) => one.id === id)?.type;
  const loaded = kind && widgetKindOf(kind).acts;
  if (!loaded) return;
  const act = lookUp((await persist(loaded)).acts, name);
  const widget = presentDesk()?.widgets.find((one) => one.id === id);
  if (!act || !widget) return;
  const { label, options } = act(widget.options, { moment: useConditions.getState().moment, index });
  useDesk.getState().edit(named(label, edits.setWidgetOptions(id, options)));
}

/** Takes a text along to whatever it is pasted into. */
function take(text: string): void {
  navigator.clipboard.writeText(text).then(
    () => toast(`Taken along: ${text}`),
    () => toast.warning(`The browser did not let it be taken along: ${text}`),
  );
}

/** What is still being found. */
let pending: Promise<void> = Promise.resolve();

/** Whoever types and presses Enter means what that finds, not what was there before. */
async function takeChosen(): Promise<void> {
  await pending;
  const menu = useScene.getState().scene?.screens.find((screen) => screen.menu !== null)?.menu;
  const entry = menu?.entries[menu.chosen];
  if (entry) deskActions.choose(entry.does);
}

/** Counts what is typed: an answer that comes after more was typed is nobody's any more. */
let typed = 0;

async function find(query: string): Promise<void> {
  const mine = ++typed;
  const { finding } = await persist(() => import('./finding.ts'));
  const { open } = useConditions.getState();
  if (mine !== typed || !open) return;
  deskActions.stepMenu({ ...(await finding(open, query)), chosen: 0, page: 0 });
}

function stepWorkspace(by: 1 | -1): void {
  const count = presentDesk()?.workspaces.length ?? 1;
  const { workspace, goTo } = useConditions.getState();
  goTo((workspace + by + count) % count);
}

function nextBackdrop(): void {
  const rotates = presentDesk()?.backdrops.some(({ source }) => source.kind === 'rotation');
  if (rotates) useConditions.setState(({ backdropStep }) => ({ backdropStep: backdropStep + 1 }));
  else toast('There is one backdrop only: make it a rotation to go on to another.');
}

/** No sound, no motion; what was heard is not begun again by itself. */
function turnQuiet(): void {
  const isQuiet = !useConditions.getState().isQuiet;
  useConditions.setState({ isQuiet });
  if (isQuiet) deskActions.sound({ does: 'hush' });
}

function lookAtOtherHalf(): void {
  const now = useScene.getState().scene?.half;
  if (now) useConditions.getState().lookAt(now === 'light' ? 'dark' : 'light');
}
