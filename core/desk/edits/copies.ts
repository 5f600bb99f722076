import type { DeskDraft } from '../desk.ts';
import { nameBeside } from '../../values/name.ts';
import { wholeGroups, type Group } from '../shapes/groups.ts';

/** Makes groups of the copies where whole groups were copied; `copies` are the new ids by the old. */
export function copyGroups(
  desk: DeskDraft,
  groups: readonly Group[],
  copies: ReadonlyMap<string, string>,
  newId: () => string,
): void {
  for (const { name, widgets } of wholeGroups(groups, copies))
    desk.groups.push({
      id: newId(),
      name: nameBeside(name, new Set(desk.groups.map((group) => group.name))),
      widgets: widgets.map((id) => copies.get(id) ?? id),
    });
}
