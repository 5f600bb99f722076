import type { WidgetActs } from '../../kinds/kind.ts';
import { tickTask } from './marks.ts';
import type { NoteOptions } from './note.ts';

export const acts: WidgetActs<NoteOptions> = {
  /** A task by where it stands among them. */
  tick: ({ text }, { index }) => ({ label: 'Tick a task', options: { text: tickTask(text, index) } }),
};
