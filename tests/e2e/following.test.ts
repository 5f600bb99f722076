import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { motifNames } from '../../core/backdrop/names.ts';
import { unpackTones } from '../../core/backdrop/tones.ts';
import {
  createBackdrop,
  createMotif,
  createPanel,
  createItem,
  createWidget,
} from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { backdropsOf, nearerOf } from '../../core/scene/backdrop.ts';
import { learnDesk } from '../../core/scene/learn.ts';
import { solve } from '../../core/scene/solve.ts';
import { contrast } from '../../core/values/colour.ts';
import { bareFinish } from '../../core/values/finish.ts';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, stored, untilKept, withApp, type RunningServer } from '../support/app.ts';
import { hexOfCss } from '../support/pixels.ts';

const MOMENT = new Date('2026-11-24T09:30:00Z');

/** A panel, a bare clock and a button for the next backdrop, over a rotation of ten. */
function rotating(follows: Desk['look']['follows']): Desk {
  const desk = emptyDesk();
  const screen = desk.screens[0]!;
  const entries = Array.from({ length: 10 }, (_, index) => ({
    id: `e${index}`,
    source: createMotif(motifNames[index % motifNames.length]!, index + 3, {
      colours: 'own',
      follows: false,
    }),
  }));
  const rotation = {
    kind: 'rotation' as const,
    entries,
    change: { by: 'every' as const, minutes: 20000 },
    shuffled: false,
    fade: 0,
  };
  return {
    ...desk,
    name: 'Ten pictures',
    screens: [{ ...screen, width: 1280, height: 720 }],
    look: { ...desk.look, half: { by: 'choice', half: 'dark' }, follows },
    backdrops: [createBackdrop('behind', rotation)],
    edges: [
      createPanel('panel', screen.id, 'top', [createItem('time', 'clock'), createItem('date', 'date')]),
    ],
    widgets: [
      { ...clockAt('clock', fromCorner(90, 120)), finish: bareFinish(desk.look.finish) },
      createWidget({
        id: 'next',
        type: 'switches',
        place: fromCorner(500, 400),
        deskFinish: desk.look.finish,
      }),
    ],
  };
}

/** The roles and inks of a desk so many pictures on, worked out beside the page from what the server tells. */
async function solvedAt(server: RunningServer, desk: Desk, backdropStep: number) {
  const moment = MOMENT.getTime();
  const [[screen, behind] = []] = [...backdropsOf(desk, { moment, backdropStep })];
  if (!screen || !behind) throw new Error('Nothing behind');
  const drawn = encodeURIComponent(JSON.stringify(nearerOf(behind)));
  const told = await fetch(`${server.address}/api/backdrops/tones?drawn=${drawn}&palettes=1`);
  const tones = unpackTones(new Uint8Array(await told.arrayBuffer()));
  if (!tones) throw new Error('No map');
  return solve(desk, { moment, backdropStep, tones: new Map([[screen, tones]]) });
}

const groundOf = (page: Page) =>
  page
    .locator('[data-screen]')
    .first()
    .evaluate((screen) => getComputedStyle(screen).getPropertyValue('--ground').trim());

withApp('a palette that follows the backdrop', ({ server, open }) => {
  it('is drawn for each of ten pictures, with every text readable and nothing between', async () => {
    const desk = rotating('vivid');
    await learnDesk(desk);
    const id = await addDesk(server, desk);
    const page = await open(`/live/${id}`, MOMENT, (fresh) =>
      fresh.addInitScript(() => {
        const seen: string[] = [];
        Object.assign(window, { seen });
        // Each pair of colours that a panel's text and its surface ever have, as they are given out.
        new MutationObserver(() => {
          const style = document.querySelector(
            '[data-edge="panel"][style*="--ink"], [data-edge="panel"] [style*="--ink"]',
          );
          const inks = style instanceof HTMLElement ? style.style.getPropertyValue('--ink') : '';
          const ground = document
            .querySelector<HTMLElement>('[data-screen]')
            ?.style.getPropertyValue('--ground');
          if (inks && ground && seen.at(-1) !== `${inks} ${ground}`) seen.push(`${inks} ${ground}`);
        }).observe(document, { subtree: true, childList: true, attributes: true });
      }),
    );
    await page.getByRole('button', { name: 'Backdrop', exact: true }).waitFor();
    const grounds = new Set<string>();
    for (let step = 0; step < 10; step++) {
      const scene = await solvedAt(server, desk, step);
      const wanted = String(scene.roles.ground);
      await page.waitForFunction(
        (ground) =>
          document.querySelector<HTMLElement>('[data-screen]')?.style.getPropertyValue('--ground') === ground,
        wanted,
      );
      grounds.add(wanted);
      for (const surface of ['ground', 'surface', 'raised'] as const)
        expect(
          contrast(String(scene.roles.ink), String(scene.roles[surface])),
          `${step} ${surface}`,
        ).to.be.at.least(4.5);
      // It passes into the next one; in the end it is what was worked out.
      const ink = scene.screens[0]?.widgets.find((widget) => widget.id === 'clock')?.surface.ink ?? '';
      let written = '';
      for (let frames = 0; frames < 600 && written !== ink; frames++) {
        await page.evaluate(() => new Promise(requestAnimationFrame));
        written = hexOfCss(
          await page
            .locator('[data-widget="clock"] > div')
            .evaluate((part) => getComputedStyle(part).getPropertyValue('--ink').trim()),
        );
      }
      expect(written, `${step}`).to.equal(ink);
      await page.getByRole('button', { name: 'Backdrop', exact: true }).click();
    }
    expect(grounds.size).to.be.above(7);
    const pairs = await page.evaluate(() => (window as unknown as { seen: string[] }).seen);
    expect(pairs.length).to.be.above(7);
    for (const pair of pairs) {
      const [ink = '', ground = ''] = pair.split(' ');
      expect(contrast(ink, ground), pair).to.be.at.least(4.5);
    }
  });

  it('is switched on and off with its way, holds what is chosen by hand, and stays as it was seen', async () => {
    const desk = rotating(null);
    const id = await addDesk(server, desk);
    const page = await open(`/desk/${id}`, MOMENT);
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    const before = await groundOf(page);
    await page.getByRole('switch', { name: 'Automatic: follow the backdrop' }).click();
    await page.waitForFunction(
      (old) =>
        document.querySelector<HTMLElement>('[data-screen]')?.style.getPropertyValue('--ground') !== old,
      before,
    );
    const calm = await groundOf(page);
    await page.getByRole('button', { name: 'Ready palettes' }).click();
    await page.locator('[data-look="way-vivid"]').click();
    await page.waitForFunction(
      (old) =>
        document.querySelector<HTMLElement>('[data-screen]')?.style.getPropertyValue('--ground') !== old,
      calm,
    );
    await page.getByText(/^Drawn anew for every picture .*: vivid\./).waitFor();
    await untilKept(page);
    const look = async () => (await stored(server, id)).desk.look;
    expect(await look()).to.deep.include({ follows: 'vivid', roles: desk.look.roles });
    // A colour that is chosen by hand is held.
    await page.getByRole('button', { name: 'Accent', exact: true }).click();
    await page.getByRole('textbox', { name: 'Accent, as text' }).fill('#ffcc66');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await untilKept(page);
    expect((await look()).held).to.deep.equal(['accent']);
    expect((await look()).roles.dark.accent).to.equal('#ffcc66');
    await page.reload();
    await page.locator('[data-stage] [data-screen]').first().waitFor();
    const seen = await groundOf(page);
    expect(seen).to.not.equal(before);
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('switch', { name: 'Automatic: follow the backdrop' }).click();
    await untilKept(page);
    expect(await groundOf(page)).to.equal(seen);
    expect(await look()).to.deep.include({ follows: null });
    expect((await look()).roles.dark).to.deep.include({ ground: seen, accent: '#ffcc66' });
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await look()).follows).to.equal('vivid');
  });
});
