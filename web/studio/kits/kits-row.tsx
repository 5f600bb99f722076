import { memo, useEffect, useMemo } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { edited } from '../../../core/desk/history.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import type { Kit } from '../../../core/desk/kits/kit.ts';
import { Miniature } from '../../render/screen/miniature.tsx';
import { useConditions } from '../../session/conditions.ts';
import { useDeskAsItIs } from '../../session/desk-as-it-is.ts';
import { allKits, loadKits, useKits } from '../../session/kits.ts';
import { useScreenInView } from '../../stores/screen.ts';
import { LooksRow } from '../ledge/looks-row.tsx';
import { leaveKits, prepareKit, takeInHand, useWearing, wear, wornOf } from './wearing.ts';

const AS_IT_IS = 'as-it-is';

/** The kits on the lit line: this desk wearing each. */
export default function KitsRow() {
  const kits = useKits();
  const hand = useWearing((state) => state.hand);
  const desk = useDeskAsItIs();
  useEffect(() => {
    void loadKits();
    return leaveKits;
  }, []);
  const all = allKits(kits);
  useEffect(() => {
    for (const kit of allKits(kits)) void prepareKit(kit);
  }, [kits]);
  const find = (id: string) => all.find((kit) => kit.id === id) ?? null;
  if (!desk) return null;
  return (
    <LooksRow
      label="Kits"
      looks={[{ id: AS_IT_IS, title: 'as it is' }, ...all.map(({ id, name }) => ({ id, title: name }))]}
      hand={hand?.id ?? null}
      onHand={(id) => takeInHand(id === null ? null : find(id))}
      onTake={(id) => {
        const kit = find(id);
        if (kit) wear(kit);
      }}
      draw={(id) => <Worn desk={desk} kit={find(id)} />}
    />
  );
}

/** A desk in a kit, small; as it is where there is none. */
const Worn = memo(function Worn({ desk, kit }: { desk: Desk; kit: Kit | null }) {
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const screen = useScreenInView();
  const ticks = useWearing((state) => state.ticks);
  const worn = useMemo(() => {
    if (!kit) return desk;
    const kinds = wornOf(kit, ticks);
    const put = edits.wearKit(kit, kinds);
    return kinds.length === 0 ? desk : edited(desk, put.apply);
  }, [desk, kit, ticks]);
  return <Miniature desk={worn} moment={minute} half={half} only={screen?.id} />;
});
