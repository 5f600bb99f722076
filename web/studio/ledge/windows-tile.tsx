import { AppWindow } from 'lucide-react';
import { titleOf } from '../../../core/windows/contents/list.ts';
import { deskActions } from '../../session/actions.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { MenuButton, type MenuEntry } from '../../ui/menu-button.tsx';

/** How many windows are open: they are part of the conditions, as the moment is. */
export function WindowsTile() {
  const count = useConditions((state) => state.windows.length);
  return (
    <MenuButton
      label={`Windows: ${count} open`}
      className="flex h-12 w-14 flex-col items-center justify-center gap-0.5 rounded-lg bg-pit text-[12px] text-dust hover:bg-nap hover:text-chalk"
      side="top"
      align="end"
      offset={8}
      entries={entries}
    >
      <AppWindow size={17} className="text-brass" />
      <span className="tabular-nums">{count} open</span>
    </MenuButton>
  );
}

function entries(): MenuEntry[] {
  const desk = presentDesk();
  const { windows, setWindows } = useConditions.getState();
  const { mode, seesWindows } = useView.getState();
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
          ...(mode === 'arrange'
            ? [
                {
                  title: seesWindows ? 'Out of sight while arranging' : 'Seen while arranging',
                  run: () => useView.setState({ seesWindows: !seesWindows }),
                },
              ]
            : []),
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
