import { named } from '../../../../core/desk/edits/edit.ts';
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
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Group as GroupSchema } from '../../../../core/desk/shapes/groups.ts';
import { groupSelection, selectedGroup, ungroupSelection } from '../../parts/groups.ts';
import { useView } from '../../../stores/view.ts';
import { WidgetFrame, type Widget } from '../../../../core/desk/shapes/widgets.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { differingIn } from '../../form/differing.ts';
import { duplicateSelection, removeSelection } from '../../parts/acts.ts';
import { selectionCommands } from '../../commands/selection-commands.ts';
import { Fields } from '../../form/form.tsx';
import { FinishSection } from '../../column/finish-section.tsx';

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

/** What can be said of several widgets at once. */
export function SeveralEditor({ widgets }: { widgets: readonly Widget[] }) {
  const { turn, endGesture } = useDesk.getState();
  const ids = widgets.map(({ id }) => id);
  const [first] = widgets;
  return (
    <>
      <Grouped />
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
      <Section title="All of them">
        <Fields
          schema={WidgetFrame}
          values={{ ...first }}
          differing={differingIn(widgets)}
          only={['scale', 'locked', 'clicksThrough']}
          onTurn={(change, label) => turn(named(label, edits.setWidgets(ids, change)))}
          onEnd={endGesture}
        />
        <div className="mt-2 flex gap-2">
          <Button onClick={duplicateSelection}>
            <Copy size={15} /> Duplicate
          </Button>
          <Button tone="rust" onClick={removeSelection}>
            <Trash2 size={15} /> Remove
          </Button>
        </div>
      </Section>
      <FinishSection ids={ids} owns={widgets.map(({ finish }) => finish)} />
    </>
  );
}
