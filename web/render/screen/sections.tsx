import { Suspense, useContext, useState, type FC } from 'react';
import type { SceneSections } from '../../../core/scene/scene.ts';
import { later } from '../../later.ts';
import { Actions } from '../actions.ts';
import { EdgeView } from '../edges/edge-view.tsx';
import { WidgetView } from '../widget-view.tsx';

const RestView = later(() => import('./rest-view.tsx'));
const WindowsView = later(() => import('../windows/windows-view.tsx'));
const OverviewView = later(() => import('../overview/overview-view.tsx'));
const DesktopIcons = later(async () => ({ default: (await import('./desktop-icons.tsx')).DesktopIcons }));
const MenuView = later(() => import('../menus/menu-view.tsx'));

/** How each section of a screen is drawn. The type checker asks for every one. */
export const sectionDrawings: { [Key in keyof SceneSections]: FC<{ solved: SceneSections[Key] }> } = {
  edges: ({ solved }) => solved.map((edge) => <EdgeView key={edge.id} edge={edge} />),
  widgets: ({ solved }) => solved.map((widget) => <WidgetView key={widget.id} widget={widget} />),
  windows: function Windows({ solved }) {
    // Its code comes with the first window.
    const hasAny = solved.list.length > 0 || solved.hint !== null;
    const [startsEmpty] = useState(!hasAny);
    const [wasUsed, setUsed] = useState(hasAny);
    if (hasAny && !wasUsed) setUsed(true);
    return (
      wasUsed && (
        <Suspense>
          <WindowsView windows={solved} startsEmpty={startsEmpty} />
        </Suspense>
      )
    );
  },
  icons: ({ solved }) =>
    solved.length > 0 && (
      <Suspense>
        <DesktopIcons icons={solved} />
      </Suspense>
    ),
  overview: ({ solved }) =>
    solved && (
      <Suspense>
        <OverviewView overview={solved} />
      </Suspense>
    ),
  rest: function OpenRest({ solved }) {
    const actions = useContext(Actions);
    return (
      actions &&
      solved && (
        <Suspense>
          <RestView rest={solved} onClose={() => actions.turnMore(solved.edge)} />
        </Suspense>
      )
    );
  },
  menu: ({ solved }) =>
    solved && (
      <Suspense>
        <MenuView key={solved.menu} menu={solved} />
      </Suspense>
    ),
};
