import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';

const faces = [
  { id: 'plain', title: 'Plain' },
  { id: 'leaf', title: 'Leaf' },
  { id: 'ruled', title: 'Ruled' },
  { id: 'margin', title: 'With a margin' },
] as const;

/** Letters of a note. */
const MOST_NOTE = 4000;

const options = z.looseObject({
  text: field(
    z.string().max(MOST_NOTE).default('# Tomorrow\n- [ ] Nets at **06:30**\n- [x] Scales charged'),
    {
      label: 'Text',
      is: 'content',
      control: 'long-text',
      isWide: true,
      placeholder: '# A heading, - a list, - [ ] a task, **bold**',
    },
  ),
  width: field(z.number().int().min(120).max(1600).default(300), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 20,
  }),
  size: field(z.number().min(10).max(60).default(20), {
    label: 'Size',
    unit: 'px',
    control: 'slider',
    group: 'Letters and colours',
  }),
  type: TypeOption,
  colour: colourOption('ink', 'Letters'),
  marks: colourOption('accent', 'Marks'),
});
export type NoteOptions = z.output<typeof options>;
export type NoteFace = (typeof faces)[number]['id'];

export const note = defineWidget({
  type: 'note',
  title: 'Note',
  summary: 'What you write down, with lists and tasks',
  also: 'memo text sticky markdown todo list remember',
  faces,
  options,
  startsBare: (face) => face === 'plain',
  typed: 'text',
  needs: () => [],
  load: () => import('./work.ts'),
  acts: () => import('./acts.ts'),
});
