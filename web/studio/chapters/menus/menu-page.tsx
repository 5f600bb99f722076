import { useEffect, type FC } from 'react';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { DeskKey, keysFor } from '../../../../core/menus/keys.ts';
import { actThatOpens, type MenuKey, type MenuKind } from '../../../../core/menus/schema.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { SwitchField } from '../../../ui/choice.tsx';
import { Section } from '../../../ui/section.tsx';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { Fields } from '../../form/form.tsx';
import { fieldsOf } from '../../form/schema.ts';
import { followsTitle } from './follows-title.ts';
import { Favourites } from './favourites.tsx';
import { DeskEntries } from './desk-entries.tsx';
import { Folders } from './folders.tsx';

/** One menu: it is open on the stage while it is designed. */
export function MenuPage({ kind, desk }: { kind: MenuKind; desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  const { key: menu, title, schema } = kind;
  useOpenOnStage(menu);
  const values = desk.menus[menu];
  const turnMenu = (change: object, label: string) =>
    turn(named(`${title}: ${label.toLowerCase()}`, edits.setMenu(menu, change)));
  const fields = { schema, values, onTurn: turnMenu, onEnd: endGesture };
  const all = fieldsOf(schema);
  const keysIn = (group: string | undefined) =>
    all.filter(([, { facts }]) => facts.group === group).map(([key]) => key);
  const keys = keysIn(undefined);
  const groups = [...new Set(all.flatMap(([, { facts }]) => facts.group ?? []))];
  const { Before, After } = lists[menu] ?? {};
  return (
    <>
      {Before && <Before desk={desk} />}
      <Section title="How it opens">
        <OpensByKeys kind={kind} desk={desk} />
        <Fields {...fields} only={keys} />
      </Section>
      {groups.map((group) => (
        <Section key={group} title={group}>
          <Fields {...fields} only={keysIn(group)} />
        </Section>
      ))}
      {After && <After desk={desk} />}
      <OwnFinish kind={kind} desk={desk} />
    </>
  );
}

/** Its keys, which stand among those of the desk. */
function OpensByKeys({ kind, desk }: { kind: MenuKind; desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  const act = actThatOpens(kind);
  return (
    <Fields
      schema={DeskKey}
      values={{ act, shortcut: keysFor(desk.keys, act) }}
      only={['shortcut']}
      onTurn={({ shortcut = '' }) =>
        turn(named(`${kind.title}: shortcut`, edits.setKeysFor(act, String(shortcut))))
      }
      onEnd={endGesture}
    />
  );
}

/** Lists of a menu that no form can show: before how it opens, and after. */
const lists: Partial<Record<MenuKey, { Before?: FC<{ desk: Desk }>; After?: FC<{ desk: Desk }> }>> = {
  deskMenu: { Before: DeskEntries },
  appList: { After: Favourites },
  appWall: { After: Folders },
};

/** The finish of the desk, or one of the menu's own. */
function OwnFinish({ kind, desk }: { kind: MenuKind; desk: Desk }) {
  const { key: menu, comesWith } = kind;
  const { turn, edit, endGesture } = useDesk.getState();
  const own = desk.menus[menu].finish;
  const set = (finish: Finish | null) => named('Finish of the menu', edits.setMenu(menu, { finish }));
  return (
    <Section title="Finish" note={own === null ? (comesWith ?? 'nothing shows through') : undefined}>
      <SwitchField
        label={followsTitle(kind)}
        spoken={comesWith ? 'Finish as it comes' : 'Finish as the desk’s'}
        value={own === null}
        onChange={(follows) => void edit(set(follows ? null : desk.look.finish))}
      />
      <ReadyLooks topic="surface" target={{ by: 'menu', menu }} />
      {own && (
        <Fields
          schema={Finish}
          values={own}
          onTurn={(change) => turn(set({ ...own, ...change }))}
          onEnd={endGesture}
        />
      )}
    </Section>
  );
}

/** Holds a menu open on the screen in view for as long as its page is. */
function useOpenOnStage(menu: MenuKey): void {
  const screen = useScreenInView()?.id;
  const mode = useView((view) => view.mode);
  useEffect(() => {
    if (screen === undefined || mode !== 'arrange') return;
    useConditions.getState().setOpen({ menu, screen });
    return () => useConditions.getState().setOpen(null);
  }, [menu, screen, mode]);
}
