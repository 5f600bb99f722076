import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { laySign } from '../text.ts';

export const overview = defineItem({
  type: 'overview',
  title: 'Overview',
  summary: 'Shows all workspaces and their windows at once',
  faces: signFaces,
  options: z.looseObject({}),
  view: (_, face, context) => ({ icon: 'view-app-grid', label: wordsOf('Overview', face, context) }),
  layout: ({ label }, face, context) => laySign(label, face, context),
});
