import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { bareDesk } from '../../demo/bare-desk.ts';
import { contrast } from '../../core/values/colour.ts';
import type { Pixels } from '../../core/colour/extract.ts';
import { createBackdrop, createMotif } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Finish } from '../../core/values/finish.ts';
import type { Rect } from '../../core/values/geometry.ts';
import { judgeDesk, sightBy } from '../../core/legibility/judge.ts';
import { learnDesk } from '../../core/scene/learn.ts';
import { solve } from '../../core/scene/solve.ts';
import { addDesk, drawn, handle, stored, untilKept, withApp } from '../support/app.ts';
import { clockAt, fromCorner } from '../support/desks.ts';
import { bakedPixels, decode } from '../support/pixels.ts';

const MOMENT = new Date('2026-11-24T09:30:00Z');

/** The contrast of a colour with the pixels of a box that nineteen of twenty of them reach. */
function weakestTwentieth({ data, width }: Pixels, box: Rect, colour: string): number {
  const ratios: number[] = [];
  for (let y = Math.ceil(box.y); y < Math.floor(box.y + box.height); y++) {
    for (let x = Math.ceil(box.x); x < Math.floor(box.x + box.width); x++) {
      const bytes = [0, 1, 2].map((channel) => data[(y * width + x) * 4 + channel] ?? 0);
      ratios.push(contrast(colour, `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`));
    }
  }
  return ratios.sort((a, b) => a - b)[Math.floor(ratios.length * 0.05)] ?? NaN;
}

/** Clocks in every finish, over the bright and the dark of a motif, some over others. */
function deskOfFinishes(): Desk {
  const desk = bareDesk();
  const finishes: Partial<Finish>[] = [
    { kind: 'bare', shadow: 0 },
    { kind: 'bare', shadow: 60 },
    { kind: 'matte' },
    { kind: 'sheer', opacity: 60 },
    { kind: 'sheer', opacity: 15 },
    { kind: 'frosted', opacity: 30, blur: 24 },
    { kind: 'frosted', opacity: 8, blur: 6 },
  ];
  return {
    ...desk,
    name: 'Finishes',
    backdrops: [
      createBackdrop('backdrop', createMotif('headland', 5), { adjust: { brightness: -8, blur: 4 } }),
    ],
    look: {
      ...desk.look,
      half: { by: 'choice', half: 'dark' },
      roles: { light: desk.look.roles.dark, dark: desk.look.roles.dark },
    },
    widgets: finishes.flatMap((finish, index) =>
      [0, 1, 2].map((row) => ({
        ...clockAt(
          `clock-${index}-${row}`,
          fromCorner(40 + index * 250, 120 + row * 300 + (index % 3) * 40),
          {
            date: '',
          },
        ),
        finish: { ...desk.look.finish, ...finish },
        scale: 1.4,
      })),
    ),
  };
}

withApp('legibility', ({ server, open }) => {
  async function openAt(path: string, chapter: string, page?: RegExp): Promise<Page> {
    const opened = await open(path, MOMENT);
    await opened.getByRole('button', { name: chapter, exact: true }).click();
    if (page) await opened.getByRole('button', { name: page }).click();
    return opened;
  }

  it('says of each text what the pixels of the page say, whatever the finish beneath it', async () => {
    const desk = deskOfFinishes();
    const added = await addDesk(server, desk);
    const page = await open('/', MOMENT);
    await page.setViewportSize({ width: 1920, height: 1080 });
    await page.goto(`${server.address}/live/${added}`);
    // What lies beneath the texts: everything but them.
    await page.addStyleTag({ content: '[data-widget] > div > * { visibility: hidden }' });
    await page
      .locator('[data-widget]')
      .nth(desk.widgets.length - 1)
      .waitFor();
    await page.waitForFunction(() => {
      const image = document.querySelector<HTMLImageElement>('[data-backdrop]');
      // What is bare may wait for what lies behind it.
      const isThere = document.querySelector('[data-awaits-behind]') === null;
      return isThere && image?.complete && image.naturalWidth >= 1920;
    });
    const shown = await decode(await page.screenshot());

    const conditions = { moment: MOMENT.getTime() };
    await learnDesk(desk);
    const widgets = solve(desk, conditions).screens.flatMap((screen) => screen.widgets);
    const judgements = (await judgeDesk(desk, conditions, sightBy(bakedPixels))).filter(
      ({ isShown, part }) => isShown && widgets.some(({ id }) => id === part),
    );
    expect(judgements).to.have.length(desk.widgets.length);
    const errors = judgements.map(({ part, box, colour, contrast: judged }) => {
      const real = weakestTwentieth(shown, box, colour);
      expect(judged / real, `${part}: ${judged.toFixed(2)}, on the page ${real.toFixed(2)}`).to.be.within(
        0.9,
        1.1,
      );
      return Math.abs(judged / real - 1);
    });
    expect(errors.reduce((sum, error) => sum + error, 0) / errors.length).to.be.below(0.03);
    // They are far from all alike, or this would say little.
    expect(Math.max(...judgements.map((one) => one.contrast))).to.be.greaterThan(
      3 * Math.min(...judgements.map((one) => one.contrast)),
    );
  });

  it('measures what can be read, shows it on the stage, and mends it with one press that can be undone', async () => {
    const page = await openAt('/desk/dawn-count', 'Look', /^Legibility/);
    await page.getByText('Everything can be read').waitFor();
    await page.getByRole('button', { name: 'Back to Look' }).click();
    await page.getByRole('button', { name: /^Finish/ }).click();
    await page.getByRole('textbox', { name: 'Opacity, exact' }).fill('0');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Back to Look' }).click();
    await page.getByRole('button', { name: /^Legibility/ }).click();
    await page.getByText(/\d+ of \d+ hard to read/).waitFor();
    await page.getByRole('switch', { name: 'On the stage' }).click();
    await page.locator('[data-tint="weak"]').first().waitFor();
    const weak = page.locator('[data-judged="weak"]');
    const count = await weak.count();
    await weak.first().getByRole('button').first().click();
    const mend = page.getByRole('button', { name: /^More opacity: 0 to/ });
    await mend.waitFor();
    await mend.click();
    await page.waitForFunction(
      (old) => document.querySelectorAll('[data-judged="weak"]').length < old,
      count,
    );
    await page.keyboard.press('Control+z');
    await page.waitForFunction(
      (old) => document.querySelectorAll('[data-judged="weak"]').length === old,
      count,
    );
    await page.keyboard.press('Control+z');
    await page.getByText('Everything can be read').waitFor();
    // A part says it of itself, too.
    await handle(page, 'load').click();
    await page.getByRole('button', { name: /^(Reads well|Hard to read)/ }).waitFor();
  });

  it('mends all at once in one step, and tells each weak text where no other label is', async () => {
    const page = await openAt('/desk/dawn-count', 'Look', /^Finish/);
    await page.getByRole('textbox', { name: 'Opacity, exact' }).fill('40');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Back to Look' }).click();
    await page.getByRole('button', { name: /^Legibility/ }).click();
    await page.getByText(/\d+ of \d+ hard to read/).waitFor();
    await page.getByRole('switch', { name: 'On the stage' }).click();
    const count = await page.locator('[data-judged="weak"]').count();
    await page.getByRole('button', { name: 'Mend all' }).click();
    await page.getByText(/mended\.$/).waitFor();
    await page.getByText('Everything can be read').waitFor();
    await page.keyboard.press('Control+z');
    await page.waitForFunction(
      (old) => document.querySelectorAll('[data-judged="weak"]').length === old,
      count,
    );
    const labels = await page
      .locator('[data-label]')
      .evaluateAll((all) => all.map((label) => label.getBoundingClientRect().toJSON() as DOMRect));
    expect(labels.length).to.be.above(0);
    for (const [index, one] of labels.entries())
      for (const other of labels.slice(index + 1))
        expect(
          one.right <= other.left + 0.5 ||
            other.right <= one.left + 0.5 ||
            one.bottom <= other.top + 0.5 ||
            other.bottom <= one.top + 0.5,
          JSON.stringify([one, other]),
        ).to.equal(true);
    await page.keyboard.press('Control+z');
    await page.getByText('Everything can be read').waitFor();
  });

  it('draws a colour exactly as it was chosen, says beside its field that it is weak, and mends that part alone', async () => {
    const desk = bareDesk();
    const clock = clockAt('clock', fromCorner(300, 240), { date: '', colour: '#efe2c0' });
    const backdrop = createBackdrop('backdrop', {
      kind: 'gradient',
      shape: 'linear',
      angle: 90,
      centre: { x: 0.5, y: 0.5 },
      points: [
        { at: 0, colour: '#e8dcc0' },
        { at: 1, colour: '#dccfae' },
      ],
    });
    const inHalf = (half: 'light' | 'dark') =>
      addDesk(server, {
        ...desk,
        name: 'Cream',
        backdrops: [backdrop],
        look: { ...desk.look, half: { by: 'choice', half } },
        widgets: [{ ...clock, finish: { ...desk.look.finish, kind: 'bare', shadow: 0 } }],
      });
    const drawnOn = (on: Page) =>
      on
        .locator('[data-widget="clock"] .run')
        .first()
        .evaluate((run) => getComputedStyle(run).color);
    const light = await open(`/live/${await inHalf('light')}`, MOMENT);
    expect(await drawnOn(light)).to.equal('rgb(239, 226, 192)');
    await light.close();
    const added = await inHalf('dark');
    const page = await open(`/desk/${added}`, MOMENT);
    expect(await drawnOn(page)).to.equal('rgb(239, 226, 192)');
    await handle(page, 'clock').click();
    const sign = page.getByRole('button', { name: /^Hard to read: 1\.\d:1, needs/ });
    await sign.focus();
    await page.keyboard.press('Enter');
    const tone = page.getByRole('button', { name: /^A darker tone of it/ });
    await tone.waitFor();
    // What is done to the backdrop, which all stand on, comes last.
    const offered = await page.getByRole('dialog').getByRole('button').allInnerTexts();
    expect(offered[0]).to.match(/^A darker tone of it/);
    expect(offered.findIndex((text) => text.includes('backdrop'))).to.be.greaterThan(
      offered.findIndex((text) => text.includes('soft shade')),
    );
    // What is pointed at is only shown: closed by a key, the colour is as it was.
    await tone.hover();
    await drawn(page);
    expect(await drawnOn(page)).not.to.equal('rgb(239, 226, 192)');
    await page.keyboard.press('Escape');
    await tone.waitFor({ state: 'detached' });
    await drawn(page);
    expect(await drawnOn(page)).to.equal('rgb(239, 226, 192)');
    await sign.press('Enter');
    await tone.click();
    await sign.waitFor({ state: 'detached' });
    await untilKept(page);
    const { desk: kept } = await stored(server, added);
    expect(kept.widgets[0]?.options['colour'])
      .to.match(/^#[0-9a-f]{6}$/)
      .and.not.equal('#efe2c0');
    expect(kept.backdrops).to.deep.equal([backdrop]);
    // Where the focus was it stays, on what says that it is mended.
    const mended = page.getByRole('button', { name: /^Reads well: \d/ });
    await mended.waitFor();
    expect(await mended.evaluate((button) => button === document.activeElement)).to.equal(true);
    await page.keyboard.press('Control+z');
    await sign.waitFor();
    expect(await drawnOn(page)).to.equal('rgb(239, 226, 192)');
  });

  it('judges the very places where the texts stand on the page', async () => {
    for (const id of ['dawn-count', 'night-watch']) {
      const page = await openAt(`/desk/${id}`, 'Look', /^Legibility/);
      await page.getByRole('switch', { name: 'On the stage' }).click();
      await page.locator('[data-tint]').first().waitFor();
      const lost = await page.evaluate(() => {
        const tints = [...document.querySelectorAll('[data-tint]')].map((tint) =>
          tint.getBoundingClientRect(),
        );
        const root = document.querySelector('[data-stage] [data-screen]');
        const walker = document.createTreeWalker(root as Element, NodeFilter.SHOW_TEXT);
        const missed: string[] = [];
        for (let node = walker.nextNode(); node; node = walker.nextNode()) {
          const text = node.textContent?.trim() ?? '';
          const owner = node.parentElement;
          // Names over a dock stand there only while an icon is pointed at.
          if (!text || !owner || owner.closest('.dock-name, title, desc')) continue;
          const range = document.createRange();
          range.selectNodeContents(node);
          const box = range.getBoundingClientRect();
          const middle = { x: box.left + box.width / 2, y: box.top + box.height / 2 };
          const isJudged = tints.some(
            (tint) =>
              middle.x >= tint.left - 2 &&
              middle.x <= tint.right + 2 &&
              middle.y >= tint.top - 2 &&
              middle.y <= tint.bottom + 2,
          );
          if (!isJudged) missed.push(text);
        }
        return missed;
      });
      expect(lost, id).to.deep.equal([]);
    }
  });

  it('judges the menus too, lists the weakest of each, and tints on the stage only what is there', async () => {
    const page = await open('/desk/sound-room', MOMENT);
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Legibility/ }).click();
    await page.getByRole('button', { name: /read well$/ }).click();
    const menus = page
      .getByRole('region', { name: /^(app list|app wall|quick find|desk menu)$/ })
      .locator('[data-judged]');
    await menus.first().waitFor();
    expect(await menus.count()).to.equal(4);
    await page.getByRole('switch', { name: 'On the stage' }).click();
    await page.locator('[data-tint]').first().waitFor();
    // Nor are names that a dock tells while it is pointed at, which can be read on their plates.
    const told = page.locator('[data-judged="fine"]', { hasText: 'while pointed at' });
    expect(await told.count()).to.equal(4);
    const others = (await page.locator('[data-judged]').count()) - 4 - (await told.count());
    expect(await page.locator('[data-tint]').count()).to.equal(others);
  });
});
