import { useEffect, useMemo, useState } from 'react';
import type { Tones } from '../../../core/backdrop/tones.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { backdropsOf, nearerOf } from '../../../core/scene/backdrop.ts';
import type { Half } from '../../../core/values/roles.ts';
import { fetchTones, knownTones } from '../../api/tones.ts';
import { useMayCome } from '../backdrop/looked-at.ts';

/** How dark and light it is behind the screens of a small desk, as far as that is known; asked for after what is looked at. */
export function useBehind(desk: Desk, moment: number, half: Half | undefined): ReadonlyMap<string, Tones> {
  const mayCome = useMayCome();
  const [come, setCome] = useState(0);
  const behind = useMemo(
    () => [...backdropsOf(desk, { moment, half })].map(([id, backdrop]) => [id, nearerOf(backdrop)] as const),
    [desk, moment, half],
  );
  useEffect(() => {
    if (!mayCome) return;
    let isWanted = true;
    const missing = behind.filter(([, drawn]) => knownTones(drawn) === undefined);
    // A small desk is shown all the same where the server doesn't answer.
    const asked = Promise.all(missing.map(([, drawn]) => fetchTones(drawn).catch(() => null)));
    if (missing.length > 0) void asked.then(() => isWanted && setCome((count) => count + 1));
    return () => {
      isWanted = false;
    };
  }, [behind, mayCome]);
  return useMemo(
    () =>
      new Map(
        behind.flatMap(([id, drawn]) => {
          const tones = knownTones(drawn);
          return tones ? [[id, tones] as const] : [];
        }),
      ),
    // What has come is read from what the page knows.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [behind, come],
  );
}
