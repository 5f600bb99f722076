import type { z } from 'zod';
import { partsOf } from '../../../core/desk/parts.ts';
import { presentDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { nameOfPart, titleOfEdge } from '../../../core/desk/part-names.ts';
import { titleOfItem } from '../parts/acts.ts';
import { chapters } from '../chapters/list.ts';
import { titleOf, type Command } from '../commands/command.ts';
import { commands } from '../commands/commands.ts';
import { focusField } from '../column/first-field.ts';
import { rowsOf } from '../form/schema.ts';
import { fieldsOnParts } from './part-fields.ts';

/** Something that the search finds: a command, a part of the desk, or a setting. */
export interface Entry {
  id: string;
  title: string;
  /** Other words for it. */
  also: string;
  /** What it is, or where. */
  group: string;
  keys?: string;
  run(): void;
}

/** All that can be found now. */
export function entriesNow(): Entry[] {
  return [
    ...commands.filter(isOffered).map(entryOf),
    ...partEntries(),
    ...chapterFieldEntries(),
    ...settingEntries(),
    ...partFieldEntries(),
  ];
}

function isOffered({ isKeyOnly, isAvailable }: Command): boolean {
  return !isKeyOnly && (isAvailable?.() ?? true);
}

function entryOf(command: Command): Entry {
  const { id, also = '', group, keys, run } = command;
  return { id, title: titleOf(command), also, group, keys: keys?.[0], run };
}

function partEntries(): Entry[] {
  const desk = presentDesk();
  if (!desk) return [];
  const go = (id: string, chapter: string) => () => useView.getState().select([id], chapter);
  const parts = partsOf(desk).map((part): Entry => ({
    id: `part-${part.id}`,
    title: `Select ${nameOfPart(part)}`,
    also: 'part',
    group: 'On the desk',
    run: go(part.id, 'options' in part ? 'widgets' : 'edges'),
  }));
  const items = desk.edges.flatMap((edge) =>
    edge.items.map((item): Entry => ({
      id: `part-${item.id}`,
      title: `Select ${titleOfItem(item)} on the ${titleOfEdge(edge).toLowerCase()}`,
      also: 'item',
      group: 'On the desk',
      run: go(item.id, 'edges'),
    })),
  );
  return [...parts, ...items];
}

/** Fields that stand on a chapter itself. */
function chapterFieldEntries(): Entry[] {
  return chapters.flatMap(({ id, title, fields = [] }) =>
    fields.map((label): Entry => ({
      id: `field-${id}-${label}`,
      title: label,
      also: '',
      group: title,
      run: () => {
        useView.getState().goToChapter(id);
        focusField(label);
      },
    })),
  );
}

function settingEntries(): Entry[] {
  return chapters.flatMap(({ id: chapter, title, pages }) =>
    pages.flatMap(({ id: page, title: where, settings }) =>
      [...(settings ? namesOf(settings) : [])].map(([label, also]): Entry => ({
        id: `setting-${chapter}-${page}-${label}`,
        title: label,
        also: `${also} ${where}`,
        group: `${title}: ${where.toLowerCase()}`,
        run: () => {
          useView.getState().goToChapter(chapter, page);
          focusField(label);
        },
      })),
    ),
  );
}

/** Fields of what stands on the desk: opened, scrolled to, and with the focus in them. */
function partFieldEntries(): Entry[] {
  const desk = presentDesk();
  if (!desk) return [];
  const { selection } = useView.getState();
  return fieldsOnParts(desk, selection).map(({ key, label, also, of, part, chapter }): Entry => ({
    id: `field-${part}-${key}`,
    title: label,
    also: `${also} ${of}`,
    group: `${of}${selection.includes(part) ? ', chosen' : ''}`,
    run: () => {
      useView.getState().select([part], chapter);
      focusField(label);
    },
  }));
}

/** What the fields of a form are called, each once, and their other words. */
function namesOf(schema: z.ZodObject): Map<string, string> {
  return new Map(rowsOf(schema).map(([, { facts }]) => [facts.label, facts.also ?? '']));
}
