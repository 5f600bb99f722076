import { memo, useEffect, useMemo } from 'react';
import { edited } from '../../../core/desk/history.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { topics } from '../../../core/desk/ready/topics.ts';
import { loadLooks, useLooks } from '../../session/looks.ts';
import { useDeskAsItIs } from '../../session/desk-as-it-is.ts';
import { LooksRow } from '../ledge/looks-row.tsx';
import { allKits, useKits, loadKits } from '../../session/kits.ts';
import { Glimpse } from './glimpse.tsx';
import {
  closePages,
  pagedLook,
  takeLook,
  takeLookInHand,
  usePaging,
  type Paged,
  type Pages,
} from './paging.ts';

const AS_IT_IS = 'as-it-is';

/** Everything that there is to page through: what the page adds, one's own, those of kits, and ours. */
function usePaged({ topic, target, extras }: Pages): readonly Paged[] {
  const { own, ours } = useLooks();
  const kits = useKits();
  return useMemo(() => {
    const ofKits = allKits(kits).flatMap(({ id, looks }) =>
      (looks ?? []).map((look) => ({ ...look, id: `${id} ${look.id}` })),
    );
    const looks = [...(own ?? []), ...ofKits, ...(ours ?? [])].filter((look) => look.topic === topic);
    return [...extras, ...looks.map((look) => pagedLook(look, target))];
  }, [topic, target, extras, own, ours, kits]);
}

/** Ready looks on the lit line, for the part in hand: this desk with each. */
export default function ReadyRow({ pages }: { pages: Pages }) {
  const desk = useDeskAsItIs();
  const hand = usePaging((state) => state.hand);
  const all = usePaged(pages);
  useEffect(() => {
    void loadLooks();
    void loadKits();
  }, []);
  const find = (id: string) => all.find((one) => one.id === id) ?? null;
  if (!desk) return null;
  return (
    <LooksRow
      label={`Ready ${topics[pages.topic].plural}`}
      looks={[{ id: AS_IT_IS, title: 'as it is' }, ...all]}
      hand={hand?.id ?? null}
      onHand={(id) => takeLookInHand(id === null ? null : find(id))}
      onTake={(id) => {
        const one = find(id);
        if (one) takeLook(one);
      }}
      onLeave={closePages}
      draw={(id) => <Dressed desk={desk} paged={find(id)} pages={pages} />}
    />
  );
}

/** What is in hand with a look, small; as it is where there is none. */
const Dressed = memo(function Dressed({
  desk,
  paged,
  pages,
}: {
  desk: Desk;
  paged: Paged | null;
  pages: Pages;
}) {
  const dressed = useMemo(() => (paged ? edited(desk, paged.edit.apply) : desk), [desk, paged]);
  return <Glimpse desk={dressed} pages={pages} roles={paged?.roles ?? dressed.look.roles} />;
});
