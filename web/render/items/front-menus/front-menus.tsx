import { useContext, type KeyboardEvent } from 'react';
import { Actions } from '../../actions.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';

/** The names of the front window's menus; arrows walk them, Enter, Space or an arrow down opens one. */
export const FrontMenusItem: ItemDrawing<'front-menus'> = ({ id, view, layout }) => {
  const actions = useContext(Actions);
  const names = view.isOne ? [view.name ?? ''] : view.menus;
  const open = (index: number) => actions?.turnMenu('frontMenu', { item: id, index });

  function onKeyDown(event: KeyboardEvent<HTMLElement>) {
    const buttons = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="menuitem"]')];
    const at = buttons.indexOf(document.activeElement as HTMLElement);
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1 }[event.key];
    if (to !== undefined) buttons[(to + buttons.length) % buttons.length]?.focus();
    else if (event.key === 'ArrowDown') open(at);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  return (
    <>
      <div className="pointer-events-none absolute inset-0">
        <Runs runs={layout.runs} />
      </div>
      {actions && names.length > 0 && (
        <div role="menubar" aria-label="Menus of the front window" onKeyDown={onKeyDown}>
          {layout.menus.map((rect, index) => (
            <button
              key={index}
              type="button"
              role="menuitem"
              aria-haspopup="menu"
              tabIndex={index === 0 ? 0 : -1}
              data-front-menu={index}
              className="panel-press rounded-md"
              style={placeOf(rect)}
              aria-label={names[index]}
              onClick={() => open(index)}
            />
          ))}
        </div>
      )}
    </>
  );
};
