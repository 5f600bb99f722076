import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { partsOf } from '../../../core/desk/parts.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { itemKindOf } from '../../../core/items/list.ts';
import type { AnyItemKind, AnyWidgetKind } from '../../../core/kinds/kind.ts';
import { widgetKindOf } from '../../../core/widgets/list.ts';
import { nameOfPart, titleOfEdge } from '../../../core/desk/part-names.ts';
import { addItem, addWidget, countOf, selectedParts, titleOfItem } from '../parts/acts.ts';
import { chapters } from '../chapters/list.ts';
import type { Standing } from './rank.ts';
import { titleOf, type Command } from '../commands/command.ts';
import { commands } from '../commands/commands.ts';
import { focusField } from '../column/first-field.ts';
import { foundIn, foundInAll, type FoundField } from './found.ts';
import { fieldsOfOthers, fieldsOnParts } from './part-fields.ts';
import { sheetForms } from '../sheets/forms.ts';

/** Something that the search finds: a command, a part of the desk, a face, or a field. */
export interface Entry {
  id: string;
  title: string;
  /** Other words for it. */
  also: string;
  /** What it is, or where. */
  group: string;
  keys?: string;
  /** Of what is chosen; or of what is not there now, and comes after what is. */
  stands?: Standing;
  run(): void;
}

/** All that can be found now. */
export function entriesNow(): Entry[] {
  return [
    ...commands.filter(isOffered).map(entryOf),
    ...partEntries(),
    ...faceEntries(),
    ...chapterEntries(),
    ...pageEntries(),
    ...sheetEntries(),
    ...partFieldEntries(),
    ...kindFieldEntries(),
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

/** The faces that what is chosen can take on, where it is one thing. */
function faceEntries(): Entry[] {
  const chosen = selectedParts();
  const [one] = [...chosen.widgets, ...chosen.items.map(({ item }) => item)];
  if (!one || countOf(chosen) > 1) return [];
  const [widget] = chosen.widgets;
  const { faces, title }: AnyWidgetKind | AnyItemKind = widget
    ? widgetKindOf(widget.type)
    : itemKindOf(one.type);
  return faces.map((face): Entry => ({
    id: `face-${face.id}`,
    title: `Face: ${face.title.toLowerCase()}`,
    also: `${title} looks like style`,
    group: `${title}, chosen`,
    run: () =>
      void useDesk
        .getState()
        .edit(
          widget
            ? named('Face', edits.setWidgets([widget.id], { face: face.id }))
            : edits.setItemFaces([one.id], face.id),
        ),
  }));
}

/** Fields that stand on a chapter itself. */
function chapterEntries(): Entry[] {
  const desk = presentDesk();
  return chapters.flatMap(({ id, title, fields, forms = [] }) => {
    const go = () => useView.getState().goToChapter(id);
    const plain = desk && fields ? [...new Set(fields(desk))] : [];
    return [
      ...plain.map((label) => fieldEntry(plainField(label), { id, group: title, go })),
      ...forms.flatMap(({ title: of, schema, unless, isThere }) =>
        foundIn(schema).map((found) =>
          fieldEntry(
            { ...found, by: [...found.by, unless], also: `${found.also} ${of}` },
            {
              id: `${id}-${of}`,
              group: `${title}: ${of.toLowerCase()}`,
              stands: desk && isThere?.(desk) === false ? 'far' : undefined,
              go,
            },
          ),
        ),
      ),
    ];
  });
}

function pageEntries(): Entry[] {
  return chapters.flatMap(({ id: chapter, title, pages }) =>
    pages.flatMap(({ id: page, title: where, settings = [], fields = [] }) => {
      const go = () => useView.getState().goToChapter(chapter, page);
      return [...foundInAll(settings), ...fields.map(plainField)].map((found) =>
        fieldEntry(
          { ...found, also: `${found.also} ${where}` },
          { id: `${chapter}-${page}`, group: `${title}: ${where.toLowerCase()}`, go },
        ),
      );
    }),
  );
}

/** Fields of the forms that open over the studio. */
function sheetEntries(): Entry[] {
  return sheetForms.flatMap(({ sheet, title, schema }) =>
    foundIn(schema).map((found) =>
      fieldEntry(
        { ...found, also: `${found.also} ${title}` },
        { id: sheet, group: title, go: () => useView.getState().open(sheet) },
      ),
    ),
  );
}

/** Fields of what stands on the desk. */
function partFieldEntries(): Entry[] {
  const desk = presentDesk();
  if (!desk) return [];
  const { selection } = useView.getState();
  return fieldsOnParts(desk, selection).map(({ of, part, chapter, ...found }) =>
    fieldEntry(
      { ...found, also: `${found.also} ${of}` },
      {
        id: part,
        group: `${of}${selection.includes(part) ? ', chosen' : ''}`,
        stands: selection.includes(part) ? 'chosen' : undefined,
        go: () => useView.getState().select([part], chapter),
      },
    ),
  );
}

/** Fields of kinds that the desk has none of: one of the kind is added for it. */
function kindFieldEntries(): Entry[] {
  const desk = presentDesk();
  const [edge] = desk?.edges ?? [];
  if (!desk) return [];
  return fieldsOfOthers(desk).map(({ of, ofAlso, adds, ...found }) => ({
    ...fieldEntry(
      { ...found, also: `${found.also} ${of} ${ofAlso}` },
      {
        id: `new ${of}`,
        group: `adds ${of.toLowerCase()}${'item' in adds ? ' to an edge' : ''}`,
        go: () => {
          if ('widget' in adds) addWidget(adds.widget, adds.face);
          else if (edge) addItem(edge.id, adds.item);
        },
      },
    ),
    stands: 'far',
  }));
}

/** One that has no schema. */
const plainField = (label: string): FoundField => ({
  key: label,
  label,
  also: '',
  by: [label],
  isThere: true,
});

/** A field is gone to, scrolled to, and has the focus. */
function fieldEntry(
  { key, label, also, by, isThere }: FoundField,
  { id, group, stands, go }: { id: string; group: string; stands?: Standing; go: () => void },
): Entry {
  return {
    id: `field-${id}-${key}`,
    title: label,
    also,
    group,
    stands: isThere ? stands : 'far',
    run: () => {
      go();
      focusField(by);
    },
  };
}
