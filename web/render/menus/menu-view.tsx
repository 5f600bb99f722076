import {
  useContext,
  useEffect,
  useId,
  useLayoutEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
} from 'react';
import type { SceneMenu, SceneMenuEntry } from '../../../core/scene/scene.ts';
import { walk, type WalkKey } from '../../../core/scene/menus/walk.ts';
import { Actions, type DeskActions } from '../actions.ts';
import { ApplicationIcon, DeskIcon } from '../kit/icons.tsx';
import { Runs, familyOf, paint, placeOf } from '../kit/runs.tsx';
import { surfaceBox, surfaceColours } from '../kit/surface.ts';

/** For how long letters that are typed one after another are one word, ms. */
const WORD_MS = 900;

/** A menu, open. In use, letters find, arrows walk, Enter takes; where it is only looked at it stands still. */
export default function MenuView({ menu }: { menu: SceneMenu }) {
  const actions = useContext(Actions);
  return (
    <>
      {actions && (
        <div
          className="absolute inset-0"
          onPointerDown={actions.closeMenu}
          onPointerMove={menu.beside ? (event) => goBeside(event, menu, actions) : undefined}
          data-behind-menu
        />
      )}
      <div
        data-menu={menu.menu}
        className={actions ? 'absolute' : 'pointer-events-none absolute'}
        style={{ ...surfaceColours(menu.surface), ...placeOf(menu.rect) }}
        onPointerDown={(event) => {
          // The focus stays in the field.
          if (!(event.target instanceof HTMLInputElement)) event.preventDefault();
        }}
      >
        <div className="absolute inset-0" style={backOf(menu)} />
        {menu.lines.map(({ rect, isLit }, index) => (
          <Line key={index} rect={rect} isLit={isLit} />
        ))}
        {menu.title && <Runs runs={[menu.title]} />}
        {actions ? <InUse menu={menu} actions={actions} /> : <Still menu={menu} />}
        {menu.none && <Runs runs={[menu.none]} />}
        {menu.pages && <Pages pages={menu.pages} menu={menu} actions={actions} />}
      </div>
    </>
  );
}

/** While one of several menus is open, pointing at the name of another opens that one instead. */
function goBeside({ clientX, clientY }: PointerEvent, menu: SceneMenu, actions: DeskActions): void {
  const name = document
    .elementsFromPoint(clientX, clientY)
    .find((element) => element.matches('[data-front-menu]'));
  const index = Number(name?.getAttribute('data-front-menu') ?? NaN);
  const item = name?.closest('[data-item]')?.getAttribute('data-item');
  if (item && index !== menu.beside?.at && Number.isInteger(index))
    actions.turnMenu('frontMenu', { item, index });
}

/** What hangs from a line is not rounded where it hangs. */
function backOf({ surface, isHanging }: SceneMenu) {
  const box = surfaceBox(surface);
  return isHanging ? { ...box, borderTopLeftRadius: 0, borderTopRightRadius: 0 } : box;
}

function Line({ rect, isLit }: SceneMenu['lines'][number]) {
  return (
    <div
      style={{
        ...placeOf(rect),
        background: isLit ? 'var(--accent)' : 'color-mix(in srgb, var(--accent) 45%, transparent)',
        boxShadow: isLit ? '0 0 14px color-mix(in srgb, var(--accent) 55%, transparent)' : undefined,
      }}
    />
  );
}

function Still({ menu }: { menu: SceneMenu }) {
  return (
    <>
      {menu.search && <Runs runs={[menu.search.hint]} />}
      <div className="overflow-hidden" style={placeOf(menu.view)}>
        <Inside menu={menu} id="" actions={null} />
      </div>
    </>
  );
}

function InUse({ menu, actions }: { menu: SceneMenu; actions: DeskActions }) {
  const id = useId();
  const focused = useRef<HTMLInputElement & HTMLDivElement>(null);
  const view = useRef<HTMLDivElement>(null);
  // Without a field, the entries have the focus themselves.
  const both = (element: HTMLDivElement | null) => {
    view.current = element;
    focused.current = element as typeof focused.current;
  };
  const typeAhead = useTypeAhead();
  useFocusWhile(focused);
  useLayoutEffect(() => {
    view.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [menu.chosen, menu.entries]);

  function onKeyDown(event: KeyboardEvent) {
    // Nothing of it is meant for the page around.
    event.stopPropagation();
    if (menu.beside && (event.key === 'ArrowLeft' || event.key === 'ArrowRight')) {
      event.preventDefault();
      const { at, count } = menu.beside;
      const index = (at + (event.key === 'ArrowRight' ? 1 : count - 1)) % count;
      actions.stepMenu({ index, chosen: 0 });
      return;
    }
    if (turns(event, menu)) {
      event.preventDefault();
      actions.stepMenu(walked(menu, event.key as WalkKey));
      return;
    }
    switch (event.key) {
      case 'Tab':
        event.preventDefault();
        actions.stepMenu({ chosen: walk(menu, event.shiftKey ? 'ArrowLeft' : 'ArrowRight') });
        return;
      case 'Enter':
        event.preventDefault();
        return actions.takeChosen();
      case 'Escape': {
        event.preventDefault();
        const back = menu.entries.find(({ does }) => does.by === 'folder' && does.folder === null);
        return back ? actions.choose(back.does) : actions.closeMenu();
      }
      case ' ':
        if (menu.search) return;
        event.preventDefault();
        return actions.takeChosen();
      default:
        if (!menu.search && event.key.length === 1 && !event.ctrlKey && !event.altKey && !event.metaKey) {
          const found = typeAhead(event.key, menu);
          if (found >= 0) actions.stepMenu({ chosen: found });
        }
    }
  }

  const isMenu = menu.isOfCommands;
  const described = {
    'aria-controls': id,
    'aria-activedescendant': menu.chosen < 0 ? undefined : `${id}-${menu.chosen}`,
  };
  const entries = (
    <div
      ref={menu.search ? view : both}
      id={id}
      role={isMenu ? 'menu' : 'listbox'}
      aria-label={menu.label}
      className="overflow-x-hidden overflow-y-auto outline-none"
      style={placeOf(menu.view)}
      {...(menu.search ? {} : { tabIndex: 0, ...described, 'aria-controls': undefined })}
    >
      <Inside menu={menu} id={id} actions={actions} />
    </div>
  );
  return (
    <div role="dialog" aria-label={menu.label} aria-modal className="absolute inset-0" onKeyDown={onKeyDown}>
      {menu.search && <Search ref={focused} search={menu.search} described={described} actions={actions} />}
      {entries}
    </div>
  );
}

const walkKeys = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Home', 'End', 'PageUp', 'PageDown'];

/** Whether a key walks through the entries: to the side only where entries stand beside each other, or nothing is typed. */
function turns(
  { key, target, ctrlKey, altKey, metaKey, shiftKey }: KeyboardEvent,
  { entries }: SceneMenu,
): boolean {
  if (!walkKeys.includes(key) || ctrlKey || altKey || metaKey || shiftKey) return false;
  if (/Up|Down/.test(key)) return true;
  const isTyped = target instanceof HTMLInputElement && target.value !== '';
  const isAbreast = entries.some(({ rect }, index) => index > 0 && rect.y === entries[index - 1]?.rect.y);
  return /Home|End/.test(key) ? !isTyped : !isTyped || isAbreast;
}

/** Where a key leads: past the end of a page, to the next one. */
function walked(menu: SceneMenu, key: WalkKey): { chosen: number; page?: number } {
  const { pages, chosen, entries } = menu;
  if (pages) {
    const isOn = key === 'PageDown' || (key === 'ArrowRight' && chosen === entries.length - 1);
    const isBack = key === 'PageUp' || (key === 'ArrowLeft' && chosen === 0);
    if (isOn) return { page: (pages.at + 1) % pages.count, chosen: 0 };
    if (isBack) return { page: (pages.at + pages.count - 1) % pages.count, chosen: 0 };
  }
  return { chosen: walk(menu, key) };
}

/** The focus is here while the menu is open, and goes back to where it was. */
function useFocusWhile(element: { current: HTMLElement | null }): void {
  useEffect(() => {
    const before = document.activeElement;
    element.current?.focus({ preventScroll: true });
    return () => void (before instanceof HTMLElement && before.focus({ preventScroll: true }));
  }, [element]);
}

/** Letters typed one after another choose the entry whose name begins with them. */
function useTypeAhead() {
  const typed = useRef({ word: '', at: 0 });
  return (letter: string, { entries, chosen }: SceneMenu): number => {
    const now = performance.now();
    const goesOn = now - typed.current.at < WORD_MS;
    const word = ((goesOn ? typed.current.word : '') + letter).toLowerCase();
    typed.current = { word, at: now };
    const from = goesOn ? chosen : chosen + 1;
    for (let step = 0; step < entries.length; step++) {
      const index = (from + step) % entries.length;
      if (entries[index]?.name.toLowerCase().startsWith(word)) return index;
    }
    return -1;
  };
}

function Search({
  ref,
  search: { rect, hint, typed },
  described,
  actions,
}: {
  ref: React.Ref<HTMLInputElement>;
  search: NonNullable<SceneMenu['search']>;
  described: object;
  actions: DeskActions;
}) {
  const [query, setQuery] = useState(typed);
  // What was typed before this was drawn.
  useEffect(() => {
    if (typed !== '') actions.find(typed);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <>
      <input
        ref={ref}
        role="combobox"
        aria-expanded
        aria-autocomplete="list"
        aria-label={hint.text}
        autoComplete="off"
        spellCheck={false}
        maxLength={120}
        value={query}
        onChange={({ target: { value } }) => {
          setQuery(value);
          actions.find(value);
        }}
        className="border-0 bg-transparent outline-none"
        style={{
          ...placeOf(rect),
          paddingInline: hint.x - rect.x,
          fontFamily: familyOf(hint.font),
          fontSize: hint.size,
          fontWeight: hint.weight,
          color: paint('ink'),
          caretColor: 'var(--accent)',
        }}
        {...described}
      />
      {query === '' && (
        <div className="pointer-events-none absolute inset-0">
          <Runs runs={[hint]} />
        </div>
      )}
    </>
  );
}

/** The entries on their shelves. */
function Inside({ menu, id, actions }: { menu: SceneMenu; id: string; actions: DeskActions | null }) {
  const { content, heads, shelves, entries, chosen } = menu;
  return (
    <div className="relative" style={{ width: content.width, height: content.height }}>
      <Runs runs={heads} />
      {shelves.map(({ rect, isLit }, index) => (
        <Line key={index} rect={rect} isLit={isLit} />
      ))}
      {entries.map((entry, index) => (
        <Entry
          key={`${entry.key} ${index}`}
          entry={entry}
          id={`${id}-${index}`}
          isChosen={index === chosen}
          isRow={menu.isHanging}
          role={menu.isOfCommands ? 'menuitem' : 'option'}
          onPoint={() => index !== chosen && actions?.stepMenu({ chosen: index })}
          onPress={() => actions?.choose(entry.does)}
        />
      ))}
    </div>
  );
}

function Entry({
  entry: { name, rect, icon, runs },
  id,
  isChosen,
  isRow,
  role,
  onPoint,
  onPress,
}: {
  entry: SceneMenuEntry;
  id: string;
  isChosen: boolean;
  isRow: boolean;
  role: 'menuitem' | 'option';
  onPoint: () => void;
  onPress: () => void;
}) {
  return (
    <div
      id={id}
      role={role}
      aria-label={name}
      aria-selected={role === 'option' ? isChosen : undefined}
      aria-current={isChosen}
      onPointerMove={onPoint}
      onClick={onPress}
      className="select-none"
      style={{
        ...placeOf(rect),
        ...(isRow && isChosen
          ? {
              background: 'color-mix(in srgb, var(--accent) 16%, transparent)',
              boxShadow: 'inset 2px 0 0 var(--accent)',
            }
          : {}),
      }}
    >
      {icon && (
        <span
          className="menu-icon"
          style={{ ...placeOf(icon.rect), color: isChosen ? 'var(--accent)' : undefined }}
        >
          {icon.application === null ? (
            <DeskIcon name={icon.name} size={icon.rect.width} />
          ) : (
            <ApplicationIcon application={icon.application} name={icon.name} size={icon.rect.width} />
          )}
        </span>
      )}
      <Runs runs={runs} />
    </div>
  );
}

/** Which page it is, and the others. */
function Pages({
  pages: { count, at },
  menu: { rect, view },
  actions,
}: {
  pages: NonNullable<SceneMenu['pages']>;
  menu: SceneMenu;
  actions: DeskActions | null;
}) {
  const top = view.y + view.height + 8;
  return (
    <div
      className="flex justify-center gap-2"
      style={placeOf({ x: 0, y: top, width: rect.width, height: 24 })}
    >
      {Array.from({ length: count }, (_, page) => (
        <button
          key={page}
          type="button"
          tabIndex={-1}
          aria-label={`Page ${page + 1} of ${count}`}
          aria-current={page === at}
          onClick={() => actions?.stepMenu({ page, chosen: 0 })}
          className="grid h-6 w-8 place-items-center"
        >
          <span
            className="block h-[3px] w-6 rounded-full"
            style={{
              background: page === at ? 'var(--accent)' : 'var(--soft-ink)',
              opacity: page === at ? 1 : 0.5,
            }}
          />
        </button>
      ))}
    </div>
  );
}
