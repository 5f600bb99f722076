import { AppWindow, Eye, EyeOff } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { titleOf } from '../../../core/windows/contents/list.ts';
import { deskActions } from '../../session/actions.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { MenuButton, type MenuEntry } from '../../ui/menu-button.tsx';

/** How many windows are open: they are part of the conditions, as the moment is. */
export function WindowsTile() {
  const count = useConditions((state) => state.windows.length);
  const mode = useView((view) => view.mode);
  const before = useRef(count);
  // Whoever opens one wants to see it.
  useEffect(() => {
    if (count > before.current) useView.setState({ seesWindows: true });
    before.current = count;
  }, [count]);
  return (
    <div className="flex items-stretch rounded-lg bg-pit">
      <MenuButton
        label={`Windows: ${count} open`}
        className="flex h-12 w-14 flex-col items-center justify-center gap-0.5 rounded-lg text-[12px] text-dust hover:bg-nap hover:text-chalk"
        side="top"
        align="end"
        offset={8}
        entries={entries}
      >
        <AppWindow size={17} className="text-brass" />
        <span className="tabular-nums">{count} open</span>
      </MenuButton>
      {count > 0 && mode === 'arrange' && <Sight />}
    </div>
  );
}

/** Puts the open windows out of sight while parts are arranged, and brings them back. */
function Sight() {
  const seesWindows = useView((view) => view.seesWindows);
  const Sign = seesWindows ? Eye : EyeOff;
  return (
    <button
      type="button"
      aria-label={seesWindows ? 'Hide the windows' : 'Show the windows'}
      title={seesWindows ? 'Hide the windows' : 'Show the windows'}
      className="grid w-7 place-items-center rounded-lg text-dust hover:bg-nap hover:text-chalk"
      onClick={() => useView.setState({ seesWindows: !seesWindows })}
    >
      <Sign size={15} />
    </button>
  );
}

function entries(): MenuEntry[] {
  const desk = presentDesk();
  const { windows, setWindows } = useConditions.getState();
  if (!desk) return [];
  const applications = new Map(desk.applications.map((one) => [one.id, one]));
  const open = [...windows].reverse().flatMap((window): MenuEntry[] => {
    const application = applications.get(window.application);
    return application
      ? [
          {
            title: titleOf(application),
            beside: window.isMinimised ? 'minimised' : undefined,
            run: () => deskActions.window({ does: 'go', window: window.id }),
          },
        ]
      : [];
  });
  return [
    ...(open.length > 0
      ? [
          { heading: 'Open' },
          ...open,
          { title: 'Close all', run: () => setWindows([]) },
          { line: true as const },
        ]
      : []),
    { heading: 'Open another' },
    ...desk.applications
      .filter(({ URL }) => URL === '')
      .slice(0, 40)
      .map(({ id, Name }) => ({ title: Name, run: () => deskActions.open(id) })),
  ];
}
