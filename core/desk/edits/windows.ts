import type { Finish } from '../../values/finish.ts';
import type { WindowForm, Windows } from '../../windows/schema.ts';
import { editOf } from './edit.ts';

/** Changes of how windows look and where they go. */
export const windowEdits = {
  setWindows: <Key extends WindowForm>(key: Key, change: Partial<Windows[Key]>) =>
    editOf('Windows', (desk) => void Object.assign(desk.windows[key], change)),

  setWindowFinish: (finish: Finish | null) =>
    editOf('Finish of windows', (desk) => void (desk.windows.finish = finish)),

  setHabits: (habits: Windows['habits']) =>
    editOf('Habits of windows', (desk) => void (desk.windows.habits = structuredClone(habits))),
};
