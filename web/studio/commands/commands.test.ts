import '../../../tests/support/page.ts';
import { expect } from 'chai';
import { groups } from './command.ts';
import { commands, commandsById } from './commands.ts';

describe('commands', () => {
  it('have ids of their own', () => {
    expect(commandsById.size).to.equal(commands.length);
  });

  it('never share a key', () => {
    const owners = new Map<string, string>();
    for (const { id, keys = [] } of commands) {
      for (const key of keys) {
        expect(owners.get(key), `${key} of ${id}`).to.equal(undefined);
        owners.set(key, id);
      }
    }
    expect(owners.size).to.be.greaterThan(20);
  });

  it('stand in a group that is shown, with a title', () => {
    for (const { id, group, title } of commands) {
      expect(groups, id).to.include(group);
      expect(title, id).to.match(/^\S.+/);
    }
  });

  it('offer nothing for a selection while nothing is selected', () => {
    const forSelection = commands.filter(
      ({ group, id }) => group === 'Selection' && !['all', 'leave'].includes(id),
    );
    expect(
      forSelection.filter(({ isAvailable }) => isAvailable?.() ?? true).map(({ id }) => id),
    ).to.deep.equal([]);
  });
});
