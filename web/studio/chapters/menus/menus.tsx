import { LayoutGrid, Tags } from 'lucide-react';
import { actThatOpens, menuKinds, type MenuKind } from '../../../../core/menus/schema.ts';
import { keysFor } from '../../../../core/menus/keys.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { Miniature } from '../../../render/screen/miniature.tsx';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { PageLink } from '../../column/page-link.tsx';
import { ApplicationPage } from './application-page.tsx';
import { ApplicationsPage } from './applications-page.tsx';
import { CategoriesPage } from './categories-page.tsx';
import { MenuPage } from './menu-page.tsx';

/** Where applications are started, and what there is to start. */
export default function MenusChapter() {
  const page = useView((view) => view.page);
  const spot = useView((view) => view.spot);
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  const menu = menuKinds.find(({ key }) => key === page);
  if (menu) return <MenuPage key={menu.key} kind={menu} desk={desk} />;
  if (page === 'categories') return <CategoriesPage desk={desk} />;
  if (page === 'applications') {
    const application = desk.applications.find(({ id }) => id === spot);
    return application ? (
      <ApplicationPage key={application.id} desk={desk} application={application} />
    ) : (
      <ApplicationsPage desk={desk} />
    );
  }
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        {menuKinds.map((kind) => (
          <MenuCard key={kind.key} kind={kind} desk={desk} />
        ))}
      </div>
      <div className="mt-5" />
      <Section title="What stands on them">
        <PageLink
          page="applications"
          icon={LayoutGrid}
          title="Applications"
          note={String(desk.applications.length)}
        />
        <PageLink page="categories" icon={Tags} title="Categories" note={categoriesNote(desk)} />
      </Section>
    </>
  );
}

function categoriesNote({ menus: { categories } }: Desk): string {
  return categories.length === 0 ? 'as they come' : `${categories.length} named`;
}

/** A menu as it opens on this desk, small and live. */
function MenuCard({ kind, desk }: { kind: MenuKind; desk: Desk }) {
  const { key: menu, title, opensBy } = kind;
  const screen = useScreenInView();
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const feeds = useConditions((state) => state.feeds);
  const shown = desk.screens.find(({ id }) => id === screen?.id) ?? desk.screens[0];
  if (!shown) return null;
  const shortcut = keysFor(desk.keys, actThatOpens(kind));
  return (
    <button
      type="button"
      data-menu-card={menu}
      onClick={() => useView.getState().goToChapter('menus', menu)}
      className="min-w-0 rounded-lg bg-nap p-1.5 text-left hover:outline hover:outline-brass/70"
    >
      <Miniature
        desk={desk}
        only={shown.id}
        moment={minute}
        half={half}
        feeds={feeds}
        open={{ menu, screen: shown.id }}
      />
      <span className="mt-1 block truncate px-0.5 text-[12px]">{title}</span>
      <span className="block truncate px-0.5 font-mono text-[11px] text-dust">
        {shortcut || opensBy || 'no shortcut'}
      </span>
    </button>
  );
}
