import { expect } from 'chai';
import { createHash } from 'node:crypto';
import { placeAt, trackAt } from '../sources/sound/playing.ts';
import { pieceIds, pieces } from '../sources/sound/pieces.ts';
import { plainSound, type Sound, type Track } from '../sources/sound/schema.ts';
import { fileNameOf, readPlaylist, writeM3u8, writeXspf } from './playlists.ts';
import { PIECE_RATE, synthesize, toWav } from './synth.ts';

const bytes = (text: string) => new TextEncoder().encode(text);
const track = (id: string, seconds: number, more: Partial<Track> = {}): Track => ({
  id,
  title: id,
  by: '',
  album: '',
  seconds,
  from: { by: 'piece', piece: 'surf' },
  cover: null,
  ...more,
});
const list = (seconds: readonly number[], order: Sound['order'] = 'list'): Sound => ({
  tracks: seconds.map((one, index) => track(`t${index}`, one)),
  order,
  repeat: 'all',
  coversColour: false,
});

describe('the pieces of the project', () => {
  it('are as long as they say, loud enough, never too loud, and the same each time', () => {
    for (const id of ['calls', 'lamp'] as const) {
      const samples = synthesize(id);
      expect(samples.length).to.equal(pieces[id].seconds * PIECE_RATE);
      let [most, sum] = [0, 0];
      for (const sample of samples) {
        most = Math.max(most, Math.abs(sample));
        sum += sample * sample;
      }
      expect(most).to.be.within(0.7, 0.95);
      expect(Math.sqrt(sum / samples.length)).to.be.greaterThan(0.05);
      expect(Math.abs(samples[0] ?? 1)).to.be.below(0.001);
      const digest = () =>
        createHash('sha256')
          .update(toWav(synthesize(id)))
          .digest('hex');
      expect(digest()).to.equal(digest());
    }
    expect(pieceIds).to.have.length(6);
  });

  it('are written as WAV files', () => {
    const wav = toWav(Float32Array.of(0, 1, -1), 32_000);
    const view = new DataView(wav.buffer);
    expect(new TextDecoder('latin1').decode(wav.slice(0, 12))).to.match(/^RIFF....WAVE$/s);
    expect([view.getUint32(24, true), view.getUint16(34, true), view.getUint32(40, true)]).to.deep.equal([
      32_000, 16, 6,
    ]);
    expect([44, 46, 48].map((at) => view.getInt16(at, true))).to.deep.equal([0, 32_767, -32_767]);
  });
});

describe('a list that is followed', () => {
  it('goes round and round with the moment: what is on, and where in it', () => {
    const three = list([10, 20, 30]);
    const table = [
      [0, 't0', 0],
      [9.5, 't0', 9.5],
      [10, 't1', 0],
      [29, 't1', 19],
      [30, 't2', 0],
      [59, 't2', 29],
      [60, 't0', 0],
      [60 * 1000 + 35, 't2', 5],
      [-1, 't2', 29],
    ] as const;
    for (const [seconds, id, position] of table) {
      const place = placeAt(three, 1, seconds * 1000);
      expect(place && trackAt(three, 1, place.n)?.id, `${seconds}`).to.equal(id);
      expect(place?.position).to.be.closeTo(position, 1e-6);
    }
    expect(placeAt(list([]), 1, 0)).to.equal(null);
    expect(trackAt(list([]), 1, 3)).to.equal(null);
  });

  it('plays each piece once in a round when it is mixed, never one twice in a row, and the same for a seed', () => {
    for (const count of [2, 3, 6, 11]) {
      const mixed = list(
        Array.from({ length: count }, () => 5),
        'shuffle',
      );
      const order = Array.from({ length: count * 60 }, (_, n) => trackAt(mixed, 9, n)?.id);
      for (let round = 0; round < 60; round++)
        expect(new Set(order.slice(round * count, (round + 1) * count)).size).to.equal(count);
      order.forEach((id, n) => n > 0 && expect(id, `${count} at ${n}`).to.not.equal(order[n - 1]));
      expect(Array.from({ length: count * 60 }, (_, n) => trackAt(mixed, 9, n)?.id)).to.deep.equal(order);
      if (count > 3)
        expect(new Set(order.map((id, n) => `${n % count} ${id}`)).size).to.be.greaterThan(count);
    }
  });

  it('moves on without a gap, second by second over a day', () => {
    let last = placeAt(plainSound, 1, 0);
    for (let second = 1; second < 3000; second++) {
      const now = placeAt(plainSound, 1, second * 1000);
      const isNext = now?.n === (last?.n ?? 0) + 1 && now.position < 1;
      const isSame = now?.n === last?.n && Math.abs((now?.position ?? 0) - (last?.position ?? 0) - 1) < 1e-6;
      expect(isNext || isSame, `${second}`).to.equal(true);
      last = now;
    }
  });
});

describe('playlists', () => {
  const own = `own:${'ab'.repeat(32)}` as const;
  const tracks = [
    ...plainSound.tracks.slice(0, 2),
    track('x', 61.5, {
      title: 'Ångström & “sons” <live>',
      by: 'Ő',
      album: 'A > B',
      from: { by: 'file', file: own },
    }),
  ];

  it('come back as they were written, in both kinds', () => {
    for (const text of [writeXspf('Sound "room" & more', tracks), writeM3u8(tracks)]) {
      const read = readPlaylist(bytes(text));
      if (!read.ok) throw new Error(read.reason);
      expect(read.entries.map(({ title, by }) => [title, by])).to.deep.equal(
        tracks.map(({ title, by }) => [title, by]),
      );
      expect(read.entries.map(({ known }) => known)).to.deep.equal([
        { by: 'piece', piece: 'surf' },
        { by: 'piece', piece: 'calls' },
        { by: 'file', id: 'ab'.repeat(32) },
      ]);
      expect(read.entries.map(({ seconds }) => Math.round(seconds ?? 0))).to.deep.equal(
        tracks.map(({ seconds }) => Math.round(seconds)),
      );
    }
    expect(fileNameOf(tracks[2] ?? track('', 1))).to.equal('Ő - Ångström sons live');
  });

  it('are read in old and odd encodings', () => {
    const text = '#EXTM3U\r\n#EXTINF:12,Möwe - Über dem Watt\r\nMöwe.mp3\r\n';
    const wide = new Uint8Array(2 + text.length * 2);
    wide.set([0xff, 0xfe]);
    [...text].forEach((letter, index) =>
      new DataView(wide.buffer).setUint16(2 + index * 2, letter.charCodeAt(0), true),
    );
    const latin = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
    for (const given of [
      bytes(text),
      bytes(`\uFEFF${text}`),
      latin,
      wide,
      bytes(text.replaceAll('\r\n', '\r')),
    ]) {
      const read = readPlaylist(given);
      expect(read).to.deep.equal({
        ok: true,
        entries: [
          { title: 'Über dem Watt', by: 'Möwe', album: '', seconds: 12, file: 'Möwe.mp3', known: null },
        ],
      });
    }
  });

  it('give no way out of a folder: of a path only its last name is left', () => {
    const ways = [
      '../../etc/passwd',
      'C:\\Windows\\system.ini',
      'file:///etc/shadow',
      '..%2F..%2Fetc%2Fpasswd',
      'a/%00b',
      '..',
    ];
    const read = readPlaylist(bytes(ways.join('\n')));
    if (!read.ok) throw new Error(read.reason);
    expect(read.entries.map(({ file }) => file)).to.deep.equal([
      'passwd',
      'system.ini',
      'shadow',
      'passwd',
      '\0b',
      '..',
    ]);
    for (const { file } of read.entries) expect(file).to.not.match(/[/\\]/);
  });

  it('take no longer for what is made to be slow', () => {
    const long = (sign: string) => sign.repeat(400_000);
    for (const text of [
      `#EXTINF:${long('1')}`,
      `#EXTINF:${long('1.')}\nreeds.wav`,
      `#EXTINF:${long(' ')}x,y`,
      `#EXTINF:1,${long('a - ')}\nreeds.wav`,
      long('%41'),
      long('../'),
      `<playlist>${long('<a>')}`,
      `<playlist ${long('a="b" ')}>`,
      `<playlist>${long('&amp;')}</playlist>`,
      `<playlist><!--${long('<!--')}</playlist>`,
    ])
      // What grows with the square of this takes minutes: the test then fails by its own limit.
      expect(
        () => readPlaylist(new TextEncoder().encode(text.slice(0, 2 ** 21))),
        text.slice(0, 30),
      ).not.to.throw();
    const entries = (text: string) => {
      const read = readPlaylist(new TextEncoder().encode(text));
      return read.ok ? read.entries.map(({ seconds, by, title }) => [seconds, by, title]) : read.reason;
    };
    expect(entries('#EXTM3U\n#extinf: 12.5 logo="a",Marsh - Reeds at dawn\nreeds.wav')).to.deep.equal([
      [12.5, 'Marsh', 'Reeds at dawn'],
    ]);
    expect(entries('#EXTINF:-1,Stream\nreeds.wav')).to.deep.equal([[null, '', 'Stream']]);
  });

  it('are refused with a sentence when they are damaged, hostile or none', () => {
    const bomb = `<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><playlist><trackList><track><title>&b;</title></track></trackList></playlist>`;
    const many = `#EXTM3U\n${Array.from({ length: 700 }, (_, index) => `${index}.mp3`).join('\n')}`;
    const deep = `${'<a>'.repeat(5000)}${'</a>'.repeat(5000)}`;
    const cases: [Uint8Array, RegExp][] = [
      [bytes(bomb), /definitions of its own/],
      [bytes('<playlist><trackList>'), /not XML/],
      [bytes('<feed></feed>'), /not a playlist/],
      [bytes(deep), /not a playlist|not XML/],
      [bytes('<playlist version="1"><trackList/></playlist>'), /nothing to play/],
      [bytes(''), /nothing to play/],
      [bytes(many), /more than 500/],
      [new Uint8Array(3 * 2 ** 20), /larger/],
    ];
    for (const [given, reason] of cases) {
      const read = readPlaylist(given);
      expect(read.ok ? 'taken' : read.reason).to.match(reason);
    }
  });
});
