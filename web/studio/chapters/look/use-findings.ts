import { useMemo } from 'react';
import type { Desk } from '../../../../core/desk/desk.ts';
import type { Finding, Looked } from '../../../../core/findings/finding.ts';
import { rules } from '../../../../core/findings/list.ts';
import { picturesBehind } from '../../../../core/findings/pictures/pictures.ts';
import { sameFields } from '../../../../core/scene/memory.ts';
import { useLookNow, useScene } from '../../../session/scene.ts';
import { useJudging, useLegibility } from '../../../stores/legibility.ts';
import { useFactsOf } from '../../pictures/picture-facts.ts';

/** What each rule finds, by its id; null while what it needs is looked at. Texts are looked at in a worker. */
export function useFindings(desk: Desk): ReadonlyMap<string, readonly Finding[] | null> {
  useJudging();
  const judgements = useLegibility((state) => state.judgements);
  const scene = useScene((state) => state.scene);
  const behind = useMemo(() => picturesBehind(desk), [desk]);
  const pictures = useFactsOf(behind);
  const look = useLookNow();
  const now = useMemo(() => (look && look !== desk.look ? { ...desk, look } : desk), [desk, look]);
  return scene ? findAll({ desk: now, scene, pictures, judgements }) : nothingYet;
}

type Found = ReadonlyMap<string, readonly Finding[] | null>;
const nothingYet: Found = new Map();

let last: { looked: Looked; found: Found } | null = null;

/** What all rules find: worked out once for the list, its note and the stage. */
function findAll(looked: Looked): Found {
  const isSame = last !== null && sameFields(last.looked, looked) === last.looked;
  if (!last || !isSame) last = { looked, found: new Map(rules.map((rule) => [rule.id, rule.find(looked)])) };
  return last.found;
}
