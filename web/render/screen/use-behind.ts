import { useEffect, useMemo, useState } from 'react';
import type { Drawn } from '../../../core/backdrop/drawn.ts';
import { isDark } from '../../../core/backdrop/tones.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { backdropsOf, decidingBackdrop, nearerOf } from '../../../core/scene/backdrop.ts';
import type { AllConditions } from '../../../core/scene/conditions.ts';
import type { Half } from '../../../core/values/roles.ts';
import { fetchTonesAside, knownTones, needsPalettes } from '../../api/tones.ts';
import { useMayCome } from '../backdrop/looked-at.ts';

/** What is known of what lies behind a small desk. */
type Behind = Pick<AllConditions, 'tones' | 'isDarkBehind'>;

/** How dark and light it is behind the screens of a small desk, as far as that is known; asked for after what is looked at. */
export function useBehind(desk: Desk, moment: number, half: Half | undefined): Behind {
  const mayCome = useMayCome();
  const hasPalettes = needsPalettes(desk);
  const [come, setCome] = useState(0);
  const [behind, wanted] = useMemo(
    () => knownBehind(desk, moment, half),
    // What has come is read from what the page knows.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [desk, moment, half, come],
  );
  useEffect(() => {
    const missing = wanted.filter((drawn) => knownTones(drawn, hasPalettes) === undefined);
    if (!mayCome || missing.length === 0) return;
    let isWanted = true;
    // A small desk is shown all the same where the server doesn't answer.
    void Promise.all(missing.map((drawn) => fetchTonesAside(drawn, hasPalettes).catch(() => null))).then(
      (all) => isWanted && all.some((tones) => tones !== null) && setCome((count) => count + 1),
    );
    return () => {
      isWanted = false;
    };
  }, [wanted, mayCome, hasPalettes]);
  return behind;
}

/** That, and all that it follows from. */
function knownBehind(desk: Desk, moment: number, half: Half | undefined): [Behind, Drawn[]] {
  const decides = half ? null : decidingBackdrop(desk, { moment });
  const decided = decides && knownTones(decides, needsPalettes(desk));
  const isDarkBehind = decided ? isDark(decided) : null;
  const behind = [...backdropsOf(desk, { moment, half, isDarkBehind })].map(
    ([id, backdrop]) => [id, nearerOf(backdrop)] as const,
  );
  const tones = new Map(
    behind.flatMap(([id, drawn]) => {
      const known = knownTones(drawn, needsPalettes(desk));
      return known ? [[id, known] as const] : [];
    }),
  );
  const wanted = behind.map(([, drawn]) => drawn);
  return [{ tones, isDarkBehind }, decides ? [decides, ...wanted] : wanted];
}
