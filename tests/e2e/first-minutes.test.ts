import { join } from 'node:path';
import sharp from 'sharp';
import { expect } from 'chai';
import { centreOf, stored, untilKept, withApp } from '../support/app.ts';

/** What somebody may need at most from nothing to a finished desk, presses and drags. */
const MOST_ACTIONS = 14;

withApp('the first minutes', ({ server, open }) => {
  it('lead from nothing to a finished desk in few actions, each of them in view when it is wanted', async () => {
    const page = await open('/');
    let actions = 0;
    const press = async (name: string | RegExp) => {
      await page.getByRole('button', { name }).first().click();
      actions++;
    };
    await press('New desk');
    await page.getByRole('heading', { name: 'Backdrop', level: 2 }).waitFor();
    await press('First light');
    await press(/^On to palette/);
    await press('Ready palettes');
    await page.locator('[data-look="way-calm"]').click();
    actions++;
    await press(/^On to look/);
    await press(/^On to edges/);
    await press('Strip and dock');
    await page.locator('[data-stage] [data-widget]').first().waitFor();
    await page.keyboard.press('Escape');
    actions++;
    await press('Widgets');
    const card = await centreOf(page.locator('[data-card="machine-rings"]'));
    const stage = await centreOf(page.locator('[data-stage]'));
    await page.mouse.move(card.x, card.y);
    await page.mouse.down();
    await page.mouse.move(stage.x + 180, stage.y + 40, { steps: 8 });
    await page.mouse.up();
    actions++;
    await page.getByRole('heading', { name: 'Machine', level: 2 }).waitFor();
    await untilKept(page);
    const id = /desk\/([^/?]+)/.exec(page.url())?.[1] ?? '';
    const { desk } = await stored(server, id);
    expect(desk.edges.map(({ kind }) => kind).sort()).to.deep.equal(['dock', 'panel']);
    expect(desk.edges.every(({ items }) => items.length > 0)).to.equal(true);
    expect(desk.widgets.map(({ type }) => type).sort()).to.deep.equal(['clock', 'machine', 'weather']);
    await page.getByRole('link', { name: 'Go live' }).click();
    actions++;
    await page.waitForURL(/\/live\//);
    await page.locator('[data-screen] [data-widget]').first().waitFor();
    expect(actions).to.be.at.most(MOST_ACTIONS);
  });

  it('lead from a dark picture of one’s own to a desk in its colours in which everything can be read', async () => {
    const page = await open('/');
    let actions = 0;
    const press = async (name: string | RegExp) => {
      await page.getByRole('button', { name }).first().click();
      actions++;
    };
    // A night over water: dark, with a light that is no part of any palette of ours.
    const path = join(server.folder, 'night.png');
    await sharp({ create: { width: 1920, height: 1080, channels: 3, background: '#101a2c' } })
      .composite([
        {
          input: { create: { width: 1920, height: 300, channels: 3, background: '#1c3346' } },
          left: 0,
          top: 780,
        },
        {
          input: { create: { width: 120, height: 120, channels: 3, background: '#e08a3c' } },
          left: 1500,
          top: 240,
        },
      ])
      .png()
      .toFile(path);
    await press('New desk');
    await page.getByRole('heading', { name: 'Backdrop', level: 2 }).waitFor();
    await page.getByLabel('Picture file').setInputFiles(path);
    actions++;
    // It is dark by itself.
    await page.getByText('dark half', { exact: true }).first().waitFor();
    await press(/^On to palette/);
    await page.getByRole('switch', { name: 'Automatic: follow the backdrop' }).click();
    actions++;
    await press('Ready palettes');
    await page.locator('[data-look="way-vivid"]').click();
    actions++;
    await press(/^On to look/);
    await press(/^On to edges/);
    await press('Islands and a day');
    await page.locator('[data-stage] [data-widget]').first().waitFor();
    await untilKept(page);
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Legibility/ }).click();
    await page.getByText('Everything can be read').waitFor();
    const id = /desk\/([^/?]+)/.exec(page.url())?.[1] ?? '';
    const { desk } = await stored(server, id);
    expect(desk.look).to.deep.include({ half: { by: 'backdrop' }, follows: 'vivid' });
    expect(desk.edges).to.have.length(3);
    expect(actions).to.be.at.most(MOST_ACTIONS);
  });
});
