import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { createItem, createPanel, createWidget } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { bandEdges, bandLevels } from '../../core/sound/spectrum/bands.ts';
import { LOOK, powerMeter } from '../../core/sound/spectrum/power.ts';
import { plainSpectrum } from '../../core/sound/spectrum/settings.ts';
import { toWav } from '../../core/sound/synth.ts';
import { placeAt, trackAt } from '../../core/sources/sound/playing.ts';
import { plainSound } from '../../core/sources/sound/schema.ts';
import type { WidgetType } from '../../core/widgets/list.ts';
import { DAWN, emptyDesk } from '../support/desks.ts';
import { addDesk, handle, stored, untilKept, withApp } from '../support/app.ts';

function deskWith(...list: [id: string, type: WidgetType, face: string, options?: object][]): Desk {
  return {
    ...emptyDesk(),
    name: 'Sounds',
    edges: [
      createPanel('panel', 'main', 'top', [createItem('now', 'playing'), createItem('loud', 'volume')]),
    ],
    widgets: list.map(([id, type, face, options = {}], index) =>
      createWidget({
        id,
        type,
        face,
        place: { hangs: { from: 'screen', screen: 'main', point: 'top-left' }, x: 40, y: 80 + index * 200 },
        deskFinish: emptyDesk().look.finish,
        options: options as Record<string, unknown>,
      }),
    ),
  };
}

const onDesk = (page: Page, id: string) => page.locator(`[data-widget="${id}"]`).first();
const tone = (hz: number, seconds: number) =>
  Buffer.from(
    toWav(
      Float32Array.from(
        { length: seconds * 16_000 },
        (_, index) => 0.5 * Math.sin((2 * Math.PI * hz * index) / 16_000),
      ),
      16_000,
    ),
  );
const soundPage = async (page: Page) => {
  await page.getByRole('button', { name: 'Widgets', exact: true }).click();
  await page
    .locator('aside')
    .getByRole('button', { name: /^Sound/ })
    .click();
  await page.getByRole('heading', { name: 'Sound', level: 2 }).waitFor();
};
/** Whether anything is left on a canvas. */
const isDrawn = (page: Page, id: string) =>
  page.waitForFunction((part) => {
    const canvas = document.querySelector<HTMLCanvasElement>(`[data-widget="${part}"] canvas`);
    const pixels = canvas?.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
    let lit = 0;
    for (let at = 3; at < pixels.length; at += 4) if ((pixels[at] ?? 0) > 40) lit++;
    return lit > 400;
  }, id);

/** What is on at a moment of the rehearsal. */
function onAt(moment: number): { title: string; position: number } {
  const place = placeAt(plainSound, emptyDesk().seed, moment);
  const track = place && trackAt(plainSound, emptyDesk().seed, place.n);
  return { title: track?.title ?? '', position: Math.floor(place?.position ?? 0) };
}
const told = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

withApp('sound', ({ server, open }) => {
  it('is followed in rehearsal: what is on, where in it, and how loud each pitch is', async () => {
    const id = await addDesk(server, deskWith(['card', 'player', 'card'], ['reeds', 'spectrum', 'reeds']));
    const page = await open(`/desk/${id}`, new Date(DAWN));
    const now = onAt(DAWN);
    await onDesk(page, 'card').getByText(now.title).waitFor();
    await onDesk(page, 'card')
      .getByText(`${told(now.position)} / `)
      .waitFor();
    await isDrawn(page, 'reeds');
    // Another moment of the ledge is another place in the list.
    await page.getByRole('slider', { name: 'Time of day' }).first().focus();
    await page.keyboard.press('ArrowRight');
    await page.waitForFunction(
      (before) => document.querySelector('[data-widget="card"] .run')?.textContent !== before,
      now.title,
    );
    const after = (await page.locator('[data-stage] [data-widget="card"] .run').allTextContents()).join(' ');
    // A step of the ledge is one minute, or some of them: what is on is right at one of those.
    const steps = [1, 5, 10, 15, 30].map((minutes) => onAt(DAWN + minutes * 60_000));
    expect(
      steps.some(({ title, position }) => after.includes(title) && after.includes(`${told(position)} / `)),
    ).to.equal(true);
  });

  it('is heard once it is played, on across desks, sought and stopped, and one thing at a time', async () => {
    const id = await addDesk(
      server,
      deskWith(['card', 'player', 'card'], ['bars', 'spectrum', 'bars', { most: 60 }]),
    );
    const page = await open(`/live/${id}`);
    const card = onDesk(page, 'card');
    await card.getByRole('button', { name: 'Play' }).click();
    await card.getByRole('button', { name: 'Pause' }).waitFor();
    await isDrawn(page, 'bars');
    const title = await card.locator('.run').first().textContent();
    await card.getByRole('button', { name: 'The next piece' }).click();
    await page.waitForFunction(
      (before) => document.querySelector('[data-widget="card"] .run')?.textContent !== before,
      title,
    );
    const second = await card.locator('.run').first().textContent();
    await card.getByRole('slider', { name: 'Where in the piece' }).fill('30');
    await card.getByText(/^0:3\d \/ /).waitFor();
    // It goes on in the studio, also of another desk.
    await page.getByRole('link', { name: 'Back to the studio' }).click();
    await handle(page, 'card').waitFor();
    await page.getByRole('link', { name: 'Shelf' }).click();
    // Wherever one goes, what is heard is told, and can be paused.
    const heard = page.getByRole('group', { name: 'What is heard' });
    await heard.getByRole('button', { name: `Pause: ${second}` }).click();
    await heard.getByRole('button', { name: `Play: ${second}` }).click();
    await heard.getByRole('button', { name: `Pause: ${second}` }).waitFor();
    await page.locator('[data-desk="sound-room"]').getByRole('link').first().click();
    await onDesk(page, 'player')
      .getByText(second ?? '')
      .waitFor();
    await page.getByRole('button', { name: 'Try' }).click();
    await onDesk(page, 'player').getByRole('button', { name: 'Pause' }).waitFor();
    // Another window that plays makes this one pause.
    const other = await page.context().newPage();
    await other.goto(`${server.address}/live/${id}`);
    await onDesk(other, 'card').getByRole('button', { name: 'Play' }).click();
    await onDesk(other, 'card').getByRole('button', { name: 'Pause' }).waitFor();
    await onDesk(page, 'player').getByRole('button', { name: 'Play' }).waitFor();
    // Quiet: nothing sounds any more.
    await onDesk(other, 'card').getByRole('button', { name: 'Pause' }).click();
    await onDesk(other, 'card').getByRole('button', { name: 'Play' }).waitFor();
    await heard.getByRole('button', { name: /^Stop: / }).click();
    await heard.waitFor({ state: 'detached' });
  });

  it('is shown on an edge, with buttons and a volume that is kept over a reload', async () => {
    const id = await addDesk(server, deskWith());
    const page = await open(`/live/${id}`);
    const item = (name: string) => page.locator(`[data-item="${name}"]`);
    await item('now').getByRole('button', { name: 'Play' }).click();
    await item('now').getByRole('button', { name: 'Pause' }).waitFor();
    await item('loud').getByRole('button', { name: 'Silence; it is at 80 %' }).click();
    await item('loud').getByRole('button', { name: 'Let it sound' }).waitFor();
    await page.reload();
    await item('now').getByRole('button', { name: 'Play' }).click();
    await item('loud').getByRole('button', { name: 'Let it sound' }).click();
    await item('loud').getByRole('button', { name: 'Silence; it is at 80 %' }).waitFor();
  });

  it('comes from files and playlists, in an order of one’s own, and leaves as a playlist; all of it undoable', async () => {
    const id = await addDesk(server, deskWith(['line', 'player', 'line']));
    const page = await open(`/desk/${id}`);
    await soundPage(page);
    const files = page.getByLabel('Sounds and playlists');
    const list =
      '#EXTM3U\n#EXTINF:2,Hide - Second\nsecond.wav\n#EXTINF:1,Hide - First\n../../first.wav\nlost.mp3\n';
    await files.setInputFiles([
      { name: 'first.wav', mimeType: 'audio/wav', buffer: tone(300, 1) },
      { name: 'second.wav', mimeType: 'audio/wav', buffer: tone(600, 2) },
      { name: 'order.m3u8', mimeType: 'text/plain', buffer: Buffer.from(list) },
      { name: 'broken.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('ID3 no sound at all') },
    ]);
    await page.getByText(/“broken\.mp3”: This file is damaged/).waitFor();
    await page.getByText(/Of “order\.m3u8” these are not here: lost\.mp3/).waitFor();
    await untilKept(page);
    const titles = async () => (await stored(server, id)).desk.sources.sound.tracks.map(({ title }) => title);
    expect((await titles()).slice(-2)).to.deep.equal(['second', 'first']);
    await page.getByRole('button', { name: 'Move first', exact: true }).focus();
    await page.keyboard.press('ArrowUp');
    await untilKept(page);
    expect((await titles()).slice(-2)).to.deep.equal(['first', 'second']);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'As XSPF' }).click(),
    ]);
    const xspf = readFileSync(await download.path(), 'utf8');
    expect(xspf).to.match(/<identifier>urn:sha256:[0-9a-f]{64}<\/identifier>/);
    // What was taken off comes back with its playlist, from what the server has.
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect(await titles()).to.have.length(6);
    await files.setInputFiles({
      name: 'all.xspf',
      mimeType: 'application/xspf+xml',
      buffer: Buffer.from(xspf),
    });
    await page.getByRole('listitem').filter({ hasText: 'second' }).waitFor();
    await untilKept(page);
    expect((await titles()).slice(-2)).to.deep.equal(['first', 'second']);
    // What is there already is found by its file's name, whatever the playlist calls it, and not added twice.
    await files.setInputFiles({
      name: 'again.m3u8',
      mimeType: 'text/plain',
      buffer: Buffer.from('#EXTM3U\n#EXTINF:2,Hide - Other words\nold/second.wav\n'),
    });
    await page.getByText('All of that is on the list already.').waitFor();
    expect(await titles()).to.have.length(8);
    await page.reload();
    await page.getByRole('listitem').filter({ hasText: 'second' }).waitFor();
  });

  it('goes on the list when it is dropped on the stage', async () => {
    const id = await addDesk(server, deskWith());
    const page = await open(`/desk/${id}`);
    await page.locator('[data-stage]').waitFor();
    const transfer = await page.evaluateHandle(
      (bytes) => {
        const data = new DataTransfer();
        data.items.add(new File([Uint8Array.from(bytes)], 'Oystercatchers.wav', { type: 'audio/wav' }));
        return data;
      },
      [...tone(500, 1)],
    );
    await page.locator('[data-stage-area]').dispatchEvent('drop', { dataTransfer: transfer });
    await page.getByRole('heading', { name: 'Sound', level: 2 }).waitFor();
    await page.getByRole('button', { name: 'Undo: Add “Oystercatchers”' }).waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.sources.sound.tracks.at(-1)?.title).to.equal('Oystercatchers');
  });

  it('hears tones alike from the browser’s analyser, from a decoded file, and as the core works them out, within 2 dB', async () => {
    const page = await open('/desk/bare-desk');
    for (const hz of [220, 1000, 4200]) {
      const heard = await page.evaluate(async (pitch) => {
        const context = new OfflineAudioContext(1, 44_100, 44_100);
        const oscillator = new OscillatorNode(context, { frequency: pitch });
        const gain = new GainNode(context, { gain: 0.5 });
        const analyser = new AnalyserNode(context, { fftSize: 4096 });
        oscillator.connect(gain).connect(analyser).connect(context.destination);
        oscillator.start();
        await context.startRendering();
        const samples = new Float32Array(4096);
        analyser.getFloatTimeDomainData(samples);
        return [...samples];
      }, hz);
      const decoded = await page.evaluate(
        async (bytes) => {
          const sound = await new OfflineAudioContext(1, 1, 44_100).decodeAudioData(
            Uint8Array.from(bytes).buffer,
          );
          return [...sound.getChannelData(0).slice(8000, 8000 + 4096)];
        },
        [...tone(hz, 1)],
      );
      const plain = Array.from(
        { length: LOOK },
        (_, index) => 0.5 * Math.sin((2 * Math.PI * hz * index) / 44_100),
      );
      const settings = { ...plainSpectrum, tilt: 0 };
      const edges = bandEdges(settings);
      const levelsOf = (samples: readonly number[]) => {
        const meter = powerMeter('hann');
        const power = meter.measure(samples, 0, new Float64Array(LOOK / 2));
        return bandLevels(
          power,
          { rate: 44_100, spread: meter.spread, edges, tilt: 0 },
          new Float64Array(settings.bands),
        );
      };
      const [one, two, three] = [levelsOf(heard), levelsOf(decoded), levelsOf(plain)];
      const at = three.indexOf(Math.max(...three));
      expect(hz).to.be.within(edges[at] ?? 0, edges[at + 1] ?? 0);
      expect(Math.max(...three)).to.be.closeTo(-6, 1);
      for (const other of [one, two]) {
        expect(other.indexOf(Math.max(...other)), `${hz}`).to.equal(at);
        expect(Math.max(...other), `${hz}`).to.be.closeTo(Math.max(...three), 2);
      }
    }
  });

  it('lends its cover’s colours to the desk, once, or for as long as it is heard', async () => {
    const id = await addDesk(server, deskWith(['card', 'player', 'card']));
    const page = await open(`/desk/${id}`);
    await soundPage(page);
    const accent = async () => (await stored(server, id)).desk.look.roles.dark.accent;
    const before = await accent();
    const shown = () =>
      page
        .locator('[data-stage] [data-screen]')
        .first()
        .evaluate((element) => element.style.background);
    const ground = await shown();
    await page.getByRole('switch', { name: 'Cover’s palette' }).click();
    await untilKept(page);
    // One that is chosen: of what happens to be on, the cover may be of the desk's own colours.
    await page.getByRole('button', { name: /^Surf on the bar/ }).click();
    await page.getByRole('button', { name: 'Play it' }).click();
    await page.waitForFunction(
      (old) => document.querySelector<HTMLElement>('[data-stage] [data-screen]')?.style.background !== old,
      ground,
    );
    expect(await accent()).to.equal(before);
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    await page.waitForFunction(
      (old) => document.querySelector<HTMLElement>('[data-stage] [data-screen]')?.style.background === old,
      ground,
    );
    await page.getByRole('button', { name: 'Palette of its cover' }).click();
    await page.getByRole('button', { name: 'Undo: Palette of a cover' }).waitFor();
    await untilKept(page);
    expect(await accent()).to.not.equal(before);
  });
});
