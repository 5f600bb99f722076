import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { createWidget } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { bandEdges } from '../../core/sound/spectrum/bands.ts';
import { plainSpectrum } from '../../core/sound/spectrum/settings.ts';
import { toWav } from '../../core/sound/synth.ts';
import { emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, handle, withApp } from '../support/app.ts';

const HZ = 2000;
const RATE = 48_000;

/** What the browser takes for a microphone: a tone of two seconds, again and again. */
const microphone = join(mkdtempSync(join(tmpdir(), 'ledge-ear-')), 'tone.wav');
writeFileSync(
  microphone,
  toWav(
    Float32Array.from({ length: 2 * RATE }, (_, index) => 0.5 * Math.sin((2 * Math.PI * HZ * index) / RATE)),
    RATE,
  ),
);

function listeningDesk(hears: 'microphone' | 'tab'): Desk {
  const { finish } = emptyDesk().look;
  const options = { hears, width: 640, height: 200 };
  const place = fromCorner(60, 60);
  return {
    ...emptyDesk(),
    name: 'Ears',
    widgets: [
      createWidget({ id: 'bars', type: 'spectrum', face: 'bars', place, deskFinish: finish, options }),
    ],
  };
}

/** How high each column of the canvas is drawn, px. */
const columns = (page: Page) =>
  page.evaluate(() => {
    const canvas = document.querySelector<HTMLCanvasElement>('[data-widget="bars"] canvas')!;
    const { width, height } = canvas;
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height);
    return Array.from({ length: width }, (_, x) => {
      let lit = 0;
      for (let y = 0; y < height; y++) if ((data[(y * width + x) * 4 + 3] ?? 0) > 40) lit++;
      return lit;
    });
  });

async function untilColumns(page: Page, fits: (columns: number[]) => boolean): Promise<number[]> {
  for (;;) {
    const now = await columns(page);
    if (fits(now)) return now;
    await page.evaluate(() => new Promise(requestAnimationFrame));
  }
}

/** px of canvas that bars keep where nothing is heard. */
const REST = 6;

const highest = (heights: readonly number[]) => Math.max(...heights);

const highestBand = (heights: readonly number[]) =>
  Math.floor((heights.indexOf(highest(heights)) / heights.length) * plainSpectrum.bands);

withApp(
  'a spectrum that listens',
  ({ server, open }) => {
    it('shows what a microphone hears once it may, and lets go of it', async () => {
      const id = await addDesk(server, listeningDesk('microphone'));
      const page = await open(`/desk/${id}`);
      await handle(page, 'bars').click();
      expect(highest(await columns(page))).to.be.at.most(REST);
      await page.getByRole('button', { name: 'Let it listen to the microphone…' }).click();
      await page.getByText('Listens to the microphone.', { exact: false }).waitFor();
      const band = bandEdges(plainSpectrum).findIndex((edge) => edge > HZ) - 1;
      // The first frames hear where the tone begins, which is no tone yet.
      await untilColumns(page, (now) => highest(now) > 60 && highestBand(now) === band);
      await page.getByRole('button', { name: 'Stop listening' }).click();
      await page.getByRole('button', { name: 'Let it listen to the microphone…' }).waitFor();
      await untilColumns(page, (now) => highest(now) <= REST);
    });

    it('shows what a shared tab sounds like, until that is stopped', async () => {
      const id = await addDesk(server, listeningDesk('tab'));
      const page = await open(`/desk/${id}`);
      await handle(page, 'bars').click();
      await page.getByRole('button', { name: 'Let it listen to a shared tab…' }).click();
      await page.getByText('Listens to a shared tab.', { exact: false }).waitFor();
      // The browser's stand-in for a tab beeps each second.
      await untilColumns(page, (now) => highest(now) > 4 * REST);
      await page.getByRole('button', { name: 'Stop listening' }).click();
      await page.getByRole('button', { name: 'Let it listen to a shared tab…' }).waitFor();
      await untilColumns(page, (now) => highest(now) <= REST);
    });
  },
  [
    '--use-fake-ui-for-media-stream',
    '--use-fake-device-for-media-stream',
    `--use-file-for-fake-audio-capture=${microphone}`,
  ],
);
