import { expect } from 'chai';
import { matchesKeys } from './key-match.ts';

const press = (
  key: string,
  held: Partial<Record<'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey', boolean>> = {},
) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...held,
});

describe('matchesKeys', () => {
  it('asks for exactly the keys that are written', () => {
    expect(matchesKeys(press('z', { ctrlKey: true }), 'Ctrl+Z')).to.equal(true);
    expect(matchesKeys(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl+Z')).to.equal(false);
    expect(matchesKeys(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+Z')).to.equal(true);
    expect(matchesKeys(press('l'), 'L')).to.equal(true);
    expect(matchesKeys(press('l', { ctrlKey: true }), 'L')).to.equal(false);
    expect(matchesKeys(press('l', { altKey: true }), 'L')).to.equal(false);
  });

  it('takes the Command key for Ctrl', () => {
    expect(matchesKeys(press('k', { metaKey: true }), 'Ctrl+K')).to.equal(true);
  });

  it('takes a sign with or without Shift, as the keyboard has it', () => {
    expect(matchesKeys(press('?', { shiftKey: true }), '?')).to.equal(true);
    expect(matchesKeys(press(']', { ctrlKey: true }), 'Ctrl+]')).to.equal(true);
    expect(matchesKeys(press('}', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+]')).to.equal(true);
    expect(matchesKeys(press('}', { ctrlKey: true, shiftKey: true }), 'Ctrl+]')).to.equal(false);
  });

  it('tells arrows with and without Shift apart', () => {
    expect(matchesKeys(press('ArrowUp', { shiftKey: true }), 'Shift+ArrowUp')).to.equal(true);
    expect(matchesKeys(press('ArrowUp', { shiftKey: true }), 'ArrowUp')).to.equal(false);
  });
});
