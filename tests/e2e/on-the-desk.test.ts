import { expect } from 'chai';
import type { Page } from 'playwright-core';
import sharp from 'sharp';
import { createItem, createPanel, createWidget } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { WidgetType } from '../../core/widgets/list.ts';
import { emptyDesk } from '../support/desks.ts';
import { addDesk, centreOf, drag, handle, stored, untilKept, withApp } from '../support/app.ts';

type Listed = [id: string, type: WidgetType, face: string, at: [x: number, y: number], options?: object];

function deskWith(...list: Listed[]): Desk {
  return {
    ...emptyDesk(),
    name: 'Written',
    edges: [createPanel('panel', 'main', 'bottom', [createItem('words', 'label', { text: 'Hide' })])],
    widgets: list.map(([id, type, face, [x, y], options = {}]) =>
      createWidget({
        id,
        type,
        face,
        place: { hangs: { from: 'screen', screen: 'main', point: 'top-left' }, x, y },
        deskFinish: emptyDesk().look.finish,
        options: options as Record<string, unknown>,
      }),
    ),
  };
}

const onStage = (page: Page, id: string) => page.locator(`[data-stage] [data-widget="${id}"]`);
const wordsOf = async (page: Page, id: string) =>
  (await onStage(page, id).locator('.run').allTextContents()).join(' ');

withApp('what is put on the desk', ({ server, open }) => {
  const widget = async (id: string, part: string) =>
    (await stored(server, id)).desk.widgets.find((one) => one.id === part);

  it('is written in place: a note and a label, seen at once, one step each, given up by Escape', async () => {
    const id = await addDesk(server, deskWith(['note', 'note', 'leaf', [100, 80], { text: 'Old' }]));
    const page = await open(`/desk/${id}`);
    await handle(page, 'note').dblclick();
    const field = page.getByRole('textbox', { name: 'Words, typed in place' });
    await field.waitFor();
    await page.keyboard.type('# Nets');
    await page.keyboard.press('Enter');
    await page.keyboard.type('- [ ] at six');
    await page.waitForFunction(() =>
      document.querySelector('[data-stage] [data-widget="note"]')?.textContent?.includes('Nets'),
    );
    await page.keyboard.press('Control+Enter');
    await field.waitFor({ state: 'detached' });
    await untilKept(page);
    expect((await widget(id, 'note'))?.options['text']).to.equal('# Nets\n- [ ] at six');
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await widget(id, 'note'))?.options['text']).to.equal('Old');
    // By keys, and given up.
    await page.keyboard.press('F2');
    await field.waitFor();
    await page.keyboard.type('Nothing of this');
    await page.keyboard.press('Escape');
    await field.waitFor({ state: 'detached' });
    expect(await wordsOf(page, 'note')).to.equal('Old');
    await handle(page, 'words').dblclick();
    await field.waitFor();
    await page.keyboard.type('North hide');
    await page.keyboard.press('Enter');
    await untilKept(page);
    const { desk } = await stored(server, id);
    expect(desk.edges[0]?.items[0]?.options['text']).to.equal('North hide');
    await page.reload();
    await page.locator('[data-stage] [data-item="words"]').getByText('North hide').waitFor();
  });

  it('has tasks that are ticked in use, by the pointer and by keys, whatever markup stands beside them', async () => {
    const text = '<b>bold?</b>\n- [ ] one\n- [ ] <img src=x onerror=alert(1)>';
    const id = await addDesk(server, deskWith(['note', 'note', 'plain', [100, 80], { text, width: 500 }]));
    const page = await open(`/live/${id}`);
    await page.getByRole('checkbox', { name: 'one', exact: true }).click();
    await page.getByRole('checkbox', { name: 'one', exact: true, checked: true }).waitFor();
    const saved = page.waitForResponse(
      (response) =>
        /^(PUT|PATCH)$/.test(response.request().method()) &&
        (response.request().postData() ?? '').includes('[x] <img'),
    );
    await page.getByRole('checkbox').nth(1).focus();
    await page.keyboard.press('Space');
    await page.getByRole('checkbox', { checked: true }).nth(1).waitFor();
    await saved;
    expect(await page.locator('[data-widget="note"] :is(b, img)').count()).to.equal(0);
    expect((await widget(id, 'note'))?.options['text']).to.equal(text.replaceAll('[ ]', '[x]'));
  });

  it('is written in while it is used: by a press, seen at once, kept as one step, given up by Escape', async () => {
    const id = await addDesk(server, deskWith(['note', 'note', 'leaf', [100, 80], { text: 'Old' }]));
    const page = await open(`/live/${id}`);
    await page.getByRole('button', { name: 'Write in the note' }).click();
    const field = page.getByRole('textbox', { name: 'What the note says' });
    await field.waitFor();
    await page.keyboard.press('Control+End');
    await page.keyboard.type(' and new');
    await page.locator('[data-widget="note"] .run').getByText('Old and new').waitFor();
    // More than a note holds finds no room.
    expect(await field.getAttribute('maxlength')).to.equal('4000');
    await page.mouse.click(900, 600);
    await field.waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Write in the note' }).focus();
    await page.keyboard.press('Enter');
    await field.waitFor();
    await page.keyboard.type('Nothing of this');
    await page.keyboard.press('Escape');
    await field.waitFor({ state: 'detached' });
    expect(await page.evaluate(() => document.activeElement?.ariaLabel)).to.equal('Write in the note');
    await page.goto(`${server.address}/desk/${id}`);
    await onStage(page, 'note').getByText('Old and new').waitFor();
    await page.getByRole('button', { name: 'Undo: Words' }).click();
    await onStage(page, 'note').getByText('Old', { exact: true }).waitFor();
    await untilKept(page);
    expect((await widget(id, 'note'))?.options['text']).to.equal('Old');
  });

  it('is grouped: chosen, moved and scaled as one, named, and ungrouped, each as one step', async () => {
    const id = await addDesk(
      server,
      deskWith(
        ['a', 'shape', 'box', [100, 100], { width: 100, height: 60 }],
        ['b', 'shape', 'box', [300, 100], { width: 100, height: 60 }],
        ['c', 'shape', 'ring', [700, 300], { width: 60 }],
      ),
    );
    const page = await open(`/desk/${id}`);
    await handle(page, 'a').click();
    await handle(page, 'b').click({ modifiers: ['Shift'] });
    await page.keyboard.press('Control+g');
    await page.getByRole('heading', { name: 'Group 1', level: 2 }).waitFor();
    await page.getByRole('textbox', { name: 'Name' }).fill('Pair');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Pair', level: 2 }).waitFor();
    await page.keyboard.press('Escape');
    await handle(page, 'c').click();
    // One of them stands for both.
    await handle(page, 'a').click();
    await page.getByRole('heading', { name: 'Pair', level: 2 }).waitFor();
    await untilKept(page);
    const before = await stored(server, id);
    await page.keyboard.press('Shift+ArrowDown');
    await untilKept(page);
    for (const part of ['a', 'b']) expect((await widget(id, part))?.place.y).to.equal(110);
    expect((await widget(id, 'c'))?.place.y).to.equal(300);
    await page.keyboard.press('Control+z');
    // By the corner of what is around them: twice as large, with the room between.
    const corner = page.locator('[data-together] [data-corner="1,1"]');
    const { x, y } = await centreOf(corner);
    const around = await page.locator('[data-together]').boundingBox();
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + (around?.width ?? 0) * 0.5, y + (around?.height ?? 0) * 0.5, { steps: 6 });
    await page.mouse.up();
    await untilKept(page);
    const scaled = await Promise.all(['a', 'b'].map((part) => widget(id, part)));
    expect(scaled.map((one) => one?.scale)).to.deep.equal([1.5, 1.5]);
    expect((scaled[1]?.place.x ?? 0) - (scaled[0]?.place.x ?? 0)).to.be.closeTo(300, 1);
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await stored(server, id)).desk).to.deep.equal(before.desk);
    await page.keyboard.press('Control+Shift+G');
    await untilKept(page);
    expect((await stored(server, id)).desk.groups).to.deep.equal([]);
    // What a group lost to removal is no group any more.
    await page.keyboard.press('Control+z');
    await handle(page, 'c').click();
    await handle(page, 'b').click();
    await handle(page, 'b').click();
    await page.keyboard.press('Delete');
    await untilKept(page);
    expect((await stored(server, id)).desk.groups).to.deep.equal([]);
  });

  it('is as wide as what it hangs from, where that is wanted', async () => {
    const desk = deskWith(
      ['host', 'player', 'wave', [100, 60], { width: 300 }],
      ['follower', 'spectrum', 'bars', [100, 300], { width: 200, height: 60 }],
    );
    const [, follower] = desk.widgets;
    if (follower)
      follower.place = { hangs: { from: 'part', part: 'host', side: 'bottom', align: 'start' }, x: 0, y: 10 };
    const id = await addDesk(server, desk);
    const page = await open(`/desk/${id}`);
    await handle(page, 'follower').click();
    await page.getByRole('switch', { name: 'Same width' }).click();
    const areAlike = (atLeast: number) =>
      page.waitForFunction((least) => {
        const [host = NaN, follower = NaN] = ['host', 'follower'].map(
          (part) => document.querySelector(`[data-handle="${part}"]`)?.getBoundingClientRect().width,
        );
        return host > least && Math.abs(host - follower) < 1.5;
      }, atLeast);
    await areAlike(0);
    const before = (await handle(page, 'host').boundingBox())?.width ?? NaN;
    await handle(page, 'host').click();
    const width = page.getByRole('textbox', { name: 'Width' });
    // The column shows the one before until it shows this one.
    while ((await width.inputValue()) !== '300');
    await width.fill('420');
    await page.keyboard.press('Enter');
    await areAlike(before * 1.2);
    await untilKept(page);
    expect((await widget(id, 'follower'))?.options['width']).to.equal(200);
  });

  it('is a field of cells: one is dragged and moved by keys to another slot, all others stay, and each starts its own', async () => {
    const cell = (application: string, a: number, b: number) => ({
      application,
      folder: '',
      link: '',
      name: '',
      icon: '',
      fills: false,
      a,
      b,
    });
    const cells = [cell('tallybook', 0, 0), { ...cell('', 1, 0), folder: 'kit' }, cell('terminal', 0, 1)];
    const desk = deskWith(['tiles', 'tiles', 'hexagons', [200, 120], { cells, size: 100, gap: 10 }]);
    const folders = [{ id: 'kit', name: 'Kit', applications: ['files'] }];
    const appWall = { ...desk.menus.appWall, folders };
    const id = await addDesk(server, { ...desk, menus: { ...desk.menus, appWall } });
    const page = await open(`/desk/${id}`);
    await handle(page, 'tiles').click({ position: { x: 4, y: 30 }, force: true });
    const grip = (index: number) => page.locator(`[data-cell="${index}"]`);
    await grip(2).waitFor();
    await page.locator('aside').getByText('Cell 2 Kit').waitFor();
    await page.locator('aside').getByText('Cell 3 Terminal').waitFor();
    const others = await Promise.all([0, 1].map((index) => centreOf(grip(index))));
    const scale = ((await centreOf(grip(1))).x - (await centreOf(grip(0))).x) / 110;
    // To the left of the first, where nothing was: what stands must not move.
    await drag(page, grip(2), { x: -150 * scale, y: -95 * scale });
    await untilKept(page);
    const cellsNow = async () =>
      ((await widget(id, 'tiles'))?.options['cells'] as typeof cells).map(({ a, b }) => [a, b]);
    expect(await cellsNow()).to.deep.equal([
      [0, 0],
      [1, 0],
      [-1, 0],
    ]);
    for (const [index, before] of others.entries()) {
      const after = await centreOf(grip(index));
      expect(after.x).to.be.closeTo(before.x, 1.5);
      expect(after.y).to.be.closeTo(before.y, 1.5);
    }
    await grip(2).focus();
    await page.keyboard.press('ArrowLeft');
    await untilKept(page);
    expect((await cellsNow())[2]).to.deep.equal([-2, 0]);
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await cellsNow())[2]).to.deep.equal([0, 1]);
    // One more catches beside the others.
    await page.getByRole('button', { name: 'Cell', exact: true }).click();
    await untilKept(page);
    expect((await cellsNow()).length).to.equal(4);
    await page.getByRole('button', { name: 'Try' }).click();
    await page.getByRole('button', { name: 'Kit', exact: true }).click();
    const wall = page.getByRole('dialog', { name: 'App wall' });
    await wall.getByText('Files').waitFor();
    expect(await wall.getByText('Tallybook').count()).to.equal(0);
    // Out of the folder, and out of the wall.
    await page.keyboard.press('Escape');
    await wall.getByText('Tallybook').waitFor();
    await page.keyboard.press('Escape');
    await wall.waitFor({ state: 'detached' });
    // Its window may come to stand over the tiles.
    await page.getByRole('button', { name: 'Start Terminal' }).click();
    await page.locator('[data-stage] path[stroke="var(--accent)"]').waitFor({ state: 'attached' });
  });

  const switchActs = [
    ...(['effects', 'quiet', 'next-backdrop'] as const).map((act) => ({ act, number: 1 })),
    { act: 'workspace', number: 2 },
  ];

  it('has switches that say what they are: effects, quiet, the next backdrop, the session', async () => {
    const id = await addDesk(
      server,
      deskWith(
        ['switches', 'switches', 'pills', [80, 80], { acts: switchActs }],
        ['session', 'session', 'round', [80, 240]],
        ['find', 'find', 'field', [80, 380]],
      ),
    );
    const page = await open(`/live/${id}`);
    await page.getByRole('button', { name: 'Effects', pressed: true }).click();
    await page.getByRole('button', { name: 'Effects', pressed: false }).waitFor();
    await page.locator('[data-screen][data-plain]').waitFor();
    await page.getByRole('button', { name: 'Quiet', pressed: false }).click();
    await page.locator('[data-screen][data-still]').waitFor();
    await page.getByRole('button', { name: 'Backdrop' }).click();
    await page.getByText('There is one backdrop only').waitFor();
    const { desk } = await stored(server, id);
    await page.getByRole('button', { name: desk.workspaces[1]?.name, pressed: false }).click();
    await page.getByRole('button', { name: desk.workspaces[1]?.name, pressed: true }).waitFor();
    await page.getByRole('button', { name: 'Restart' }).click();
    await page.getByText('The machine would start anew.').waitFor();
    await page.getByRole('button', { name: 'Quick find' }).click();
    await page.getByRole('dialog', { name: 'Quick find' }).waitFor();
  });

  it('is a picture of one’s own, or some in turn, that goes with the desk', async () => {
    const id = await addDesk(server, deskWith(['picture', 'picture', 'framed', [100, 60], { turn: 6 }]));
    const page = await open(`/desk/${id}`);
    await handle(page, 'picture').click();
    const colours = ['#35607a', '#a0522d'];
    await page.getByLabel('Pictures files').setInputFiles(
      await Promise.all(
        colours.map(async (background, index) => ({
          name: `${index}.png`,
          mimeType: 'image/png',
          buffer: await sharp({ create: { width: 200, height: 120, channels: 3, background } })
            .png()
            .toBuffer(),
        })),
      ),
    );
    await onStage(page, 'picture').locator('img').waitFor();
    await untilKept(page);
    const kept = (await widget(id, 'picture'))?.options['pictures'] as string[];
    expect(kept).to.have.length(2);
    expect((await fetch(`${server.address}/api/desks/${id}/bundle`)).status).to.equal(200);
    await page.getByRole('button', { name: 'Take picture 1 off' }).click();
    await untilKept(page);
    expect((await widget(id, 'picture'))?.options['pictures']).to.deep.equal(kept.slice(1));
    await page.reload();
    await onStage(page, 'picture').locator('img').waitFor();
  });
});
