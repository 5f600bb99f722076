import { named } from '../../../core/desk/edits/edit.ts';
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalSpaceBetween,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalSpaceBetween,
  Copy,
  Group,
  Ungroup,
  Trash2,
  type LucideIcon,
} from 'lucide-react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { Group as GroupSchema } from '../../../core/desk/shapes/groups.ts';
import { groupSelection, selectedGroup, ungroupSelection } from '../parts/groups.ts';
import { useView } from '../../stores/view.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { sharedFields, type SharedField } from '../../../core/desk/edits/shared.ts';
import { isSame } from '../../../core/values/share.ts';
import { shapeOf, type FieldShape } from '../form/schema.ts';
import { useDesk } from '../../session/desk.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { Section } from '../../ui/section.tsx';
import { duplicateSelection, removeSelection, type Selected } from '../parts/acts.ts';
import { selectionCommands } from '../commands/selection-commands.ts';
import { Field, Fields } from '../form/form.tsx';
import { FinishSection } from './finish-section.tsx';

const rows: readonly (readonly [id: string, icon: LucideIcon])[][] = [
  [
    ['align-x-start', AlignStartVertical],
    ['align-x-centre', AlignCenterVertical],
    ['align-x-end', AlignEndVertical],
    ['distribute-x', AlignHorizontalSpaceBetween],
  ],
  [
    ['align-y-start', AlignStartHorizontal],
    ['align-y-centre', AlignCenterHorizontal],
    ['align-y-end', AlignEndHorizontal],
    ['distribute-y', AlignVerticalSpaceBetween],
  ],
];

/** The group that they are, by its name; or a way to make them one. */
function Grouped() {
  const selection = useView((view) => view.selection);
  // Read anew whenever groups change.
  useDesk((state) => state.history?.present.groups);
  const group = selectedGroup(selection);
  if (!group)
    return (
      <div className="mb-4">
        <Button onClick={groupSelection}>
          <Group size={15} /> Make one group
        </Button>
      </div>
    );
  return (
    <Section title="Group" note="press one of it again to choose it alone">
      <Fields
        schema={GroupSchema}
        values={{ name: group.name }}
        only={['name']}
        onTurn={({ name }) => useDesk.getState().turn(edits.nameGroup(group.id, String(name)))}
        onEnd={useDesk.getState().endGesture}
      />
      <Button className="justify-self-start" onClick={ungroupSelection}>
        <Ungroup size={15} /> Ungroup
      </Button>
    </Section>
  );
}

/** What can be said of several widgets, edges and items at once. */
export function SeveralEditor({ desk, chosen }: { desk: Desk; chosen: Selected }) {
  const { widgets, edges, items } = chosen;
  const parts = [...widgets, ...edges];
  const ids = [...parts, ...items.map(({ item }) => item)].map(({ id }) => id);
  return (
    <>
      {parts.length === widgets.length && items.length === 0 && <Grouped />}
      <div className="mb-4 flex gap-2">
        {widgets.length > 0 && (
          <Button onClick={duplicateSelection}>
            <Copy size={15} /> Duplicate
          </Button>
        )}
        <Button tone="rust" onClick={removeSelection}>
          <Trash2 size={15} /> Remove
        </Button>
      </div>
      {widgets.length > 1 && <Arrange />}
      <Shared desk={desk} ids={ids} />
      {parts.length > 0 && (
        <FinishSection ids={parts.map(({ id }) => id)} owns={parts.map(({ finish }) => finish)} />
      )}
    </>
  );
}

function Arrange() {
  return (
    <Section title="Arrange">
      {rows.map((row, index) => (
        <div key={index} className="flex gap-1">
          {row.map(([id, Icon]) => {
            const command = selectionCommands.find((one) => one.id === id);
            return (
              command && (
                <IconButton
                  key={id}
                  label={command.title}
                  disabled={!(command.isAvailable?.() ?? true)}
                  onClick={command.run}
                  className="!size-9 bg-pit"
                >
                  <Icon size={17} strokeWidth={1.6} />
                </IconButton>
              )
            );
          })}
        </div>
      ))}
    </Section>
  );
}

/** The fields that they have in common, by group: what is set is set in each that has it. */
function Shared({ desk, ids }: { desk: Desk; ids: readonly string[] }) {
  const { turn, endGesture } = useDesk.getState();
  const fields = sharedFields(desk, ids);
  const titleOf = ({ facts }: SharedField) => facts.group ?? 'All of them';
  return [...new Set(fields.map(titleOf))].map((title) => (
    <Section key={title} title={title}>
      {fields
        .filter((field) => titleOf(field) === title)
        .map((field) => {
          const { is, facts, values } = field;
          return (
            <Field
              key={is}
              shape={shapeOfSeveral(field)}
              value={values[0]}
              isDiffering={!values.every((value) => isSame(value, values[0]))}
              onTurn={(value) => turn(named(facts.label, edits.setShared(ids, is, value)))}
              onEnd={endGesture}
            />
          );
        })}
    </Section>
  ));
}

/** A field that each of several takes the values of: within all their ranges, and of the choices that all have. */
function shapeOfSeveral({ schemas, facts }: SharedField): FieldShape {
  const shapes = schemas.map((schema) => shapeOf(schema, facts));
  const [first, ...others] = shapes;
  if (!first) throw new Error('No field of none');
  const bound = (of: (shape: FieldShape) => number | undefined, pick: typeof Math.max) => {
    const ends = shapes.flatMap((shape) => of(shape) ?? []);
    return ends.length === 0 ? undefined : pick(...ends);
  };
  return {
    ...first,
    min: bound(({ min }) => min, Math.max),
    max: bound(({ max }) => max, Math.min),
    choices: first.choices.filter(({ value }) =>
      others.every((other) => other.choices.some((choice) => choice.value === value)),
    ),
  };
}
