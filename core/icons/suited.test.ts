import { expect } from 'chai';
import { suitedIcon } from './suited.ts';

describe('the sign that suits an application', () => {
  it('is found by its words before its categories, its name before what it says', () => {
    expect(suitedIcon({ Name: 'Files', Categories: ['Utility'] })).to.equal('system-file-manager');
    expect(suitedIcon({ Name: 'Postbag', Keywords: ['mail'] })).to.equal('internet-mail');
    expect(suitedIcon({ Name: 'Chart Table', Comment: 'Letters from the bay' })).to.equal(
      'applications-maps',
    );
    expect(suitedIcon({ Name: 'Wavebox', Comment: 'Listen to the marsh' })).to.equal('audio-x-generic');
    expect(suitedIcon({ Name: 'Ringing', Categories: ['Nonsense', 'Science'] })).to.equal(
      'applications-science',
    );
  });

  it('is a window where nothing tells, also for names from anywhere', () => {
    for (const Name of ['', 'constructor', '__proto__', '  ', 'Ω'])
      expect(suitedIcon({ Name, Categories: ['toString', '__proto__'] })).to.equal(
        'application-x-executable',
      );
  });
});
