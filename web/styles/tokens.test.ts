import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { contrast, hexOf } from '../../core/values/colour.ts';

const css = readFileSync(new URL('./tokens.css', import.meta.url), 'utf8');

function tokensOf(theme: string): Record<string, string> {
  const block = css.slice(css.indexOf(`[data-theme='${theme}'] {`)).split('}')[0] ?? '';
  return Object.fromEntries(
    [...block.matchAll(/--([a-z-]+): (oklch\([^)]+\));/g)].map(([, name, value]) => [
      name,
      hexOf(value ?? ''),
    ]),
  );
}

describe('the interface', () => {
  for (const theme of ['velvet', 'linen']) {
    it(`has text that reaches AA on every ground, in ${theme}`, () => {
      const tokens = tokensOf(theme);
      for (const text of ['chalk', 'dust', 'brass', 'moss', 'rust']) {
        for (const ground of ['pit', 'velvet', 'nap']) {
          expect(contrast(tokens[text] ?? '', tokens[ground] ?? ''), `${text} on ${ground}`).to.be.at.least(
            4.5,
          );
        }
      }
      expect(contrast(tokens['on-brass'] ?? '', tokens['brass'] ?? ''), 'on brass').to.be.at.least(4.5);
    });
  }
});
