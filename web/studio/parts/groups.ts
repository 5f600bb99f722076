import { nanoid } from 'nanoid';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { nameBeside } from '../../../core/values/name.ts';
import type { Group } from '../../../core/desk/shapes/groups.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { selectedParts } from './acts.ts';

/** The group that a widget stands in. */
function groupOf(id: string): Group | null {
  return presentDesk()?.groups.find(({ widgets }) => widgets.includes(id)) ?? null;
}

/** The group that is selected as a whole, and nothing else. */
export function selectedGroup(selection = useView.getState().selection): Group | null {
  const [first] = selection;
  const group = first === undefined ? null : groupOf(first);
  return group?.widgets.length === selection.length && group.widgets.every((id) => selection.includes(id))
    ? group
    : null;
}

/** What a press on a widget means: all of its group, or the widget alone where the whole group is selected already. */
export function meantBy(id: string): readonly string[] {
  const group = groupOf(id);
  if (!group || selectedGroup() === group || useView.getState().selection.includes(id)) return [id];
  return group.widgets;
}

export function groupSelection(): void {
  const { widgets } = selectedParts();
  if (widgets.length < 2) return;
  const id = nanoid(8);
  const taken = new Set(presentDesk()?.groups.map(({ name }) => name));
  const members = widgets.map((widget) => widget.id);
  if (useDesk.getState().edit(edits.group(members, id, nameBeside('Group 1', taken))))
    useView.getState().select(members, 'widgets');
}

export function ungroupSelection(): void {
  const group = selectedGroup();
  if (group) useDesk.getState().edit(named(`Ungroup ${group.name}`, edits.ungroup(group.id)));
}
