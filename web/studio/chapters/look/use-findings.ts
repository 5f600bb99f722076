import { useMemo } from 'react';
import type { Desk } from '../../../../core/desk/desk.ts';
import type { Finding } from '../../../../core/findings/finding.ts';
import { rules } from '../../../../core/findings/list.ts';
import { picturesBehind } from '../../../../core/findings/pictures/pictures.ts';
import { useScene } from '../../../session/scene.ts';
import { useJudging, useLegibility } from '../../../stores/legibility.ts';
import { useFactsOf } from '../../pictures/picture-facts.ts';

/** What each rule finds, by its id; null while what it needs is looked at. Texts are looked at in a worker. */
export function useFindings(desk: Desk): ReadonlyMap<string, readonly Finding[] | null> {
  useJudging();
  const judgements = useLegibility((state) => state.judgements);
  const scene = useScene((state) => state.scene);
  const behind = useMemo(() => picturesBehind(desk), [desk]);
  const pictures = useFactsOf(behind);
  return useMemo(
    () =>
      new Map(
        rules.map((rule) => [rule.id, scene ? rule.find({ desk, scene, pictures, judgements }) : null]),
      ),
    [desk, scene, pictures, judgements],
  );
}
