import { actThatOpens, menuKinds, type MenuKind } from '../../../../core/menus/schema.ts';
import { keysFor } from '../../../../core/menus/keys.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { Miniature } from '../../../render/screen/miniature.tsx';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { PageLinks } from '../../column/page-link.tsx';
import { pages } from './pages.tsx';

/** Where applications are started, and what there is to start. */
export default function MenusChapter() {
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        {menuKinds.map((kind) => (
          <MenuCard key={kind.key} kind={kind} desk={desk} />
        ))}
      </div>
      <div className="mt-5" />
      <PageLinks pages={pages} />
    </>
  );
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
