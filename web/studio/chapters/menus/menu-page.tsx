import { useEffect } from 'react';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { menuSchemas, menuTitles, type MenuKey } from '../../../../core/menus/schema.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { SwitchField } from '../../../ui/choice.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { fieldsOf } from '../../form/schema.ts';
import { Favourites } from './favourites.tsx';
import { DeskEntries } from './desk-entries.tsx';
import { Folders } from './folders.tsx';

/** One menu: it is open on the stage while it is designed. */
export function MenuPage({ menu, desk }: { menu: MenuKey; desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  useOpenOnStage(menu);
  const schema = menuSchemas[menu];
  const values = desk.menus[menu];
  const turnMenu = (change: object, label: string) =>
    turn(named(`${menuTitles[menu]}: ${label.toLowerCase()}`, edits.setMenu(menu, change)));
  const fields = { schema, values, onTurn: turnMenu, onEnd: endGesture };
  const keys = fieldsOf(schema)
    .filter(([, { facts }]) => !facts.group)
    .map(([key]) => key);
  return (
    <>
      {menu === 'deskMenu' && <DeskEntries desk={desk} />}
      <Section title="How it opens">
        <Fields {...fields} only={keys} />
      </Section>
      {menu === 'quickFind' && <SearchedThrough {...fields} />}
      {menu === 'appList' && <Favourites desk={desk} />}
      {menu === 'appWall' && <Folders desk={desk} />}
      <OwnFinish menu={menu} desk={desk} />
    </>
  );
}

function SearchedThrough(props: Parameters<typeof Fields>[0]) {
  const keys = fieldsOf(props.schema)
    .filter(([, { facts }]) => facts.group)
    .map(([key]) => key);
  return (
    <Section title="The search looks through">
      <Fields {...props} only={keys} />
    </Section>
  );
}

const asTheDesk = (menu: MenuKey) => (menu === 'appWall' ? 'a veil of the ground' : 'nothing shows through');

/** The finish of the desk, or one of the menu's own. */
function OwnFinish({ menu, desk }: { menu: MenuKey; desk: Desk }) {
  const { turn, edit, endGesture } = useDesk.getState();
  const own = desk.menus[menu].finish;
  const set = (finish: Finish | null) => named('Finish of the menu', edits.setMenu(menu, { finish }));
  return (
    <Section title="Finish" note={own === null ? asTheDesk(menu) : undefined}>
      <SwitchField
        label={menu === 'appWall' ? 'As it comes' : 'As the desk’s'}
        spoken={menu === 'appWall' ? 'Finish as it comes' : 'Finish as the desk’s'}
        value={own === null}
        onChange={(follows) => void edit(set(follows ? null : desk.look.finish))}
      />
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
