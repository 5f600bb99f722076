import { enough } from '../../legibility/judge.ts';
import type { Rule } from '../finding.ts';

export const texts: Rule = {
  id: 'texts',
  title: 'Everything can be read',
  fine: 'Texts, signs and marks have enough contrast with what lies beneath.',
  page: ['look', 'legibility'],
  find: ({ judgements }) =>
    judgements
      ?.filter((one) => one.isShown && enough(one) < 1)
      .map(({ part, item, text, half, contrast, needs }) => ({
        key: `${part} ${item ?? ''} ${text} ${half}`,
        told: `“${text}” has ${contrast.toFixed(1)}:1 in the ${half} half, and needs ${needs}:1`,
        part,
        mends: [],
      })) ?? null,
};
