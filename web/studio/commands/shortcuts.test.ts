import { expect } from 'chai';
import { keysOf, refusedSentence, takenSentence } from './shortcuts.ts';

const press = (key: string, held: string[] = [], code = '') => ({
  key,
  code: code || (/^[a-z]$/i.test(key) ? `Key${key.toUpperCase()}` : key),
  ctrlKey: held.includes('Ctrl'),
  altKey: held.includes('Alt'),
  shiftKey: held.includes('Shift'),
  metaKey: held.includes('Logo'),
});

describe('keys that are pressed for a shortcut', () => {
  it('are written with what was held', () => {
    expect(keysOf(press('b', ['Ctrl', 'Alt']))).to.equal('Ctrl+Alt+B');
    expect(keysOf(press('ArrowUp', ['Alt', 'Shift']))).to.equal('Alt+Shift+ArrowUp');
    expect(keysOf(press(' ', ['Ctrl']))).to.equal('Ctrl+Space');
    // With Alt a key may give another sign.
    expect(keysOf(press('ß', ['Alt'], 'KeyS'))).to.equal('Alt+S');
    expect(keysOf(press('b'))).to.equal(null);
  });

  it('are refused with a sentence where they can’t be one, and left alone where they edit the text', () => {
    expect(keysOf(press('b', ['Logo']))).to.equal(null);
    expect(refusedSentence(press('b', ['Logo']))).to.match(/logo key are the system’s own/);
    expect(refusedSentence(press('b', ['Ctrl', 'Logo']))).to.match(/logo key/);
    expect(refusedSentence(press('Tab', ['Ctrl']))).to.match(/Tab is the browser’s/);
    expect(refusedSentence(press('Home', ['Alt']))).to.match(/Home can’t be one/);
    for (const held of ['Control', 'Alt', 'Shift', 'Meta'])
      expect(refusedSentence(press(held, ['Ctrl', 'Alt', 'Logo'])), held).to.equal(null);
    expect(refusedSentence(press('c', ['Ctrl']))).to.equal(null);
    expect(refusedSentence(press('Tab'))).to.equal(null);
    expect(refusedSentence(press('b', ['Ctrl', 'Alt']))).to.equal(null);
  });

  it('are told from those that do something on the desk, by what that is', () => {
    const keys = [{ act: 'overview' as const, shortcut: 'Ctrl+Alt+O' }];
    expect(takenSentence('Ctrl+Alt+O', keys)).to.match(/Ctrl\+Alt\+O is “.+” already/);
    expect(takenSentence('Ctrl+Alt+P', keys)).to.equal(null);
    expect(takenSentence('', [{ act: 'overview', shortcut: '' }])).to.equal(null);
  });
});
