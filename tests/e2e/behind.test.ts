import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { bareFinish } from '../../core/values/finish.ts';
import { paletteOf } from '../../core/colour/look.ts';
import { contrast } from '../../core/values/colour.ts';
import { createBackdrop, createDock, createItem, createMotif } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { MotifName } from '../../core/backdrop/names.ts';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, drag, stored, untilKept, withApp } from '../support/app.ts';
import { decode, hexOfCss } from '../support/pixels.ts';

const MOMENT = new Date('2026-11-24T09:30:00Z');

/** A bare clock and a bare dock over a motif in its own colours, in a half that it does not suit. */
function bareDesk(motif: MotifName, half: 'light' | 'dark', change: Partial<Desk> = {}): Desk {
  const desk = emptyDesk();
  const finish = bareFinish(desk.look.finish);
  const items = desk.applications
    .slice(0, 4)
    .map(({ id }, index) => createItem(`a${index}`, 'application', { application: id }));
  return {
    ...desk,
    name: `Bare over ${motif}`,
    screens: [{ ...desk.screens[0]!, width: 1280, height: 720 }],
    look: { ...desk.look, half: { by: 'choice', half } },
    backdrops: [createBackdrop('behind', createMotif(motif, 5, { colours: 'own', follows: false }))],
    edges: [{ ...createDock('dock', 'main', 'bottom', desk.look.finish, items), finish }],
    widgets: [{ ...clockAt('clock', fromCorner(90, 60)), finish, scale: 1.5 }],
    ...change,
  };
}

/** The ink of a part as style sheets have it. */
const inkOf = async (page: Page, selector: string) =>
  hexOfCss(
    await page
      .locator(selector)
      .first()
      .evaluate((part) => getComputedStyle(part).getPropertyValue('--ink').trim()),
  );

const CLOCK = '[data-widget="clock"] > div';

/** Waits until the ink of the clock is another one. */
async function untilInkChanges(page: Page, before: string): Promise<void> {
  for (let frames = 0; frames < 900 && (await inkOf(page, CLOCK)) === before; frames++)
    await page.evaluate(() => new Promise(requestAnimationFrame));
  expect(await inkOf(page, CLOCK)).to.not.equal(before);
}

withApp('what is bare', ({ server, open }) => {
  it('can be read off the screen over a picture that its half does not suit, from the first frame on', async () => {
    for (const [motif, half] of [
      ['night', 'light'],
      ['fog', 'dark'],
    ] as const) {
      const id = await addDesk(server, bareDesk(motif, half));
      // A slow machine may take longer over the first map than bare parts are kept hidden for: it is made before.
      const earlier = await open('/', MOMENT);
      const made = earlier.waitForResponse(
        (response) => response.url().startsWith(`${server.address}/api/backdrops/tones`) && response.ok(),
      );
      await earlier.goto(`${server.address}/live/${id}`);
      await made;
      const page = await open(`/live/${id}`, MOMENT, (fresh) =>
        fresh.addInitScript(() => {
          const seen = new Set<string>();
          Object.assign(window, { seen });
          new MutationObserver(() => {
            const part = document.querySelector('[data-widget="clock"] > div');
            const style = part && getComputedStyle(part);
            if (style?.visibility === 'visible') seen.add(style.getPropertyValue('--ink').trim());
          }).observe(document, { subtree: true, childList: true, attributes: true });
        }),
      );
      await page.waitForFunction(() => {
        const image = document.querySelector<HTMLImageElement>('img[data-backdrop]');
        return image?.complete && image.naturalWidth > 0;
      });
      await page.locator(CLOCK).waitFor();
      const ink = await inkOf(page, CLOCK);
      expect(
        (await page.evaluate(() => [...(window as unknown as { seen: Set<string> }).seen])).map(hexOfCss),
        motif,
      ).to.deep.equal([ink]);
      // Off the page's own pixels: what lies behind the clock, all but the worst twentieth of it.
      for (const [selector, needed] of [
        [CLOCK, 4.5],
        ['[data-item="a0"]', 3],
        ['[data-item="a3"]', 3],
      ] as const) {
        const colour = await inkOf(page, selector);
        const box = await page.locator(selector).first().boundingBox();
        await page.addStyleTag({
          content: '[data-widget] > div > *, [data-item] > * { visibility: hidden }',
        });
        const { data, width } = await decode(await page.screenshot({ clip: box ?? undefined }));
        const ratios: number[] = [];
        for (let at = 0; at < data.length; at += 4 * 7) {
          const hex = `#${[...data.subarray(at, at + 3)].map((value) => value.toString(16).padStart(2, '0')).join('')}`;
          ratios.push(contrast(colour, hex));
        }
        ratios.sort((a, b) => a - b);
        expect(width).to.be.above(10);
        expect(ratios[Math.floor(ratios.length / 20)], `${motif} ${selector} ${colour}`).to.be.at.least(
          needed * 0.97,
        );
      }
    }
  });

  it('turns with what it is dragged over and with another backdrop, and comes back with undo and after a reload', async () => {
    const halfLit = createBackdrop('behind', {
      kind: 'gradient',
      shape: 'linear',
      angle: 90,
      centre: { x: 0.5, y: 0.5 },
      points: [
        { at: 0.49, colour: '#101018' },
        { at: 0.51, colour: '#f4f2ea' },
      ],
    });
    const id = await addDesk(server, bareDesk('night', 'dark', { backdrops: [halfLit] }));
    const page = await open(`/desk/${id}`, MOMENT);
    await page.locator(`[data-stage] ${CLOCK}`).waitFor();
    await page.waitForFunction(
      (selector) =>
        getComputedStyle(document.querySelector(selector) ?? document.body)
          .getPropertyValue('--ink')
          .trim() !== '',
      CLOCK,
    );
    const before = await inkOf(page, CLOCK);
    expect(contrast(before, '#101018')).to.be.at.least(4.5);
    await drag(page, page.locator(`[data-stage] [data-widget="clock"]`), { x: 420, y: 0 });
    await untilInkChanges(page, before);
    expect(contrast(await inkOf(page, CLOCK), '#f4f2ea')).to.be.at.least(4.5);
    await untilKept(page);
    // What it is drawn in is worked out, and stands nowhere in the desk.
    const { desk } = await stored(server, id);
    expect(JSON.stringify(desk.widgets)).not.to.include(await inkOf(page, CLOCK));
    const turned = await inkOf(page, CLOCK);
    await page.reload();
    await page.locator(`[data-stage] ${CLOCK}`).waitFor();
    expect(await inkOf(page, CLOCK)).to.equal(turned);
    await page.keyboard.press('Control+z');
    await untilInkChanges(page, turned);
    expect(await inkOf(page, CLOCK)).to.equal(before);
  });

  it('makes a dark desk of a dark picture and a light one of a light picture, in live and on the stage', async () => {
    const byBackdrop = (motif: MotifName) => {
      const desk = bareDesk(motif, 'light');
      return { ...desk, look: { ...desk.look, half: { by: 'backdrop' as const } } };
    };
    const groundOf = (page: Page) =>
      page
        .locator('[data-screen]')
        .first()
        .evaluate((screen) => getComputedStyle(screen).getPropertyValue('--ground').trim());
    const { roles } = emptyDesk().look;
    for (const [motif, half] of [
      ['night', 'dark'],
      ['fog', 'light'],
    ] as const) {
      const id = await addDesk(server, byBackdrop(motif));
      for (const way of ['live', 'desk']) {
        const page = await open(`/${way}/${id}`, MOMENT);
        await page.locator(CLOCK).first().waitFor();
        expect(await groundOf(page), `${motif} ${way}`).to.equal(paletteOf(roles[half]).roles.ground);
      }
    }
  });

  it('goes by the ground where the server can’t say what lies behind it', async () => {
    const id = await addDesk(server, bareDesk('night', 'light'));
    const page = await open(`/live/${id}`, MOMENT, (fresh) =>
      fresh.route('**/api/backdrops/tones*', (route) => route.fulfill({ status: 500, body: 'x' })),
    );
    await page.locator(CLOCK).waitFor();
    const ground = await page
      .locator('[data-screen]')
      .first()
      .evaluate((screen) => getComputedStyle(screen).getPropertyValue('--ground').trim());
    expect(contrast(await inkOf(page, CLOCK), ground)).to.be.at.least(4.5);
  });
});
