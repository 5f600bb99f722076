import { expect } from 'chai';
import fc from 'fast-check';
import { demoDesks } from '../../demo/desks.ts';
import { drawnName, iconNames, signNames, titleOfSign } from './names.ts';

describe('icon names', () => {
  it('stand for themselves where the sets draw them', () => {
    for (const name of iconNames) expect(drawnName(name)).to.equal(name);
    for (const { Icon } of demoDesks().flatMap(({ applications }) => applications))
      expect(drawnName(Icon)).to.equal(Icon);
  });

  it('fall back to the more general name, then to their family, then to a window', () => {
    expect(drawnName('audio-x-generic-symbolic')).to.equal('audio-x-generic');
    expect(drawnName('folder-documents-open')).to.equal('folder');
    expect(drawnName('weather-clear-night-fog')).to.equal('weather-clear-night');
    expect(drawnName('multimedia-volume-control')).to.equal('multimedia-player');
    expect(drawnName('network-wireless-signal-good')).to.equal('network-idle');
    expect(drawnName('Some.Strange.App')).to.equal('application-x-executable');
    expect(drawnName('')).to.equal('application-x-executable');
  });

  it('may be words that every object knows', () => {
    for (const name of ['__proto__', 'constructor', 'constructor-x', 'toString', 'hasOwnProperty-symbolic'])
      expect(drawnName(name), name).to.equal('application-x-executable');
  });

  it('are called by words of a person, no two alike', () => {
    const titles = signNames.map(titleOfSign);
    expect(new Set(titles).size).to.equal(titles.length);
    for (const title of titles) expect(title).to.match(/^[A-Z][a-z ,]+$/);
  });

  it('always come to one that is drawn', () => {
    fc.assert(fc.property(fc.string(), (name) => void expect(iconNames).to.include(drawnName(name))));
  });
});
