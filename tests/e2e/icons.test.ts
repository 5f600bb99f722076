import { expect } from 'chai';
import type { Page } from 'playwright-core';
import type { ListedIconSet } from '../../core/wire/wire.ts';
import { addDesk, stored, untilKept, withApp } from '../support/app.ts';
import { emptyDesk } from '../support/desks.ts';
import { createApplication, createDock, createItem } from '../../core/desk/defaults.ts';
import { svgOf, twoColoured, zipOf } from '../support/icon-files.ts';

const archive = zipOf({
  'Outline/folder.svg': svgOf('#102030'),
  'Outline/envelope.svg': svgOf('#102030'),
  'Outline/map.svg': twoColoured('#ff0000', '#00ff00'),
  'Filled/folder.svg': svgOf('#203040'),
  'Filled/home.svg': svgOf('#203040'),
});

/** A desk whose dock has two applications: letters and charts. */
function docked() {
  const desk = emptyDesk();
  const applications = [
    createApplication('post', 'Postbag', { Icon: 'internet-mail' }),
    createApplication('charts', 'Chart Table', { Icon: 'applications-maps' }),
  ];
  const items = applications.map(({ id }) => createItem(id, 'application', { application: id }));
  const dock = createDock('dock', desk.screens[0]?.id ?? '', 'bottom', desk.look.finish, items);
  return { ...desk, applications, edges: [dock] };
}

withApp('icon sets', ({ server, open }) => {
  async function page(id: string): Promise<Page> {
    const opened = await open(`/desk/${id}`);
    await opened.locator('[data-stage] [data-item="charts"]').first().waitFor();
    await opened.getByRole('button', { name: 'Look', exact: true }).click();
    await opened.getByRole('button', { name: /^Icons/ }).click();
    await opened.getByRole('group', { name: 'Icon set' }).waitFor();
    return opened;
  }
  const give = (on: Page, bytes: Buffer, name = 'Kittiwake.zip') =>
    on.getByLabel('Archive of icons').setInputFiles({ name, mimeType: 'application/zip', buffer: bytes });
  /** What is drawn for an application in the dock, once there is a picture from outside. */
  const picture = (on: Page, item: string) =>
    on.locator(`[data-stage] [data-item="${item}"] :is(img, [style*="mask"])`).first();
  const listed = async () =>
    (await (await fetch(`${server.address}/api/icon-sets`)).json()) as ListedIconSet[];

  it('are taken from a file and worn at once, in one step; what is missing is ours', async () => {
    const id = await addDesk(server, docked());
    const on = await page(id);
    await give(on, archive);
    await on.getByText(/Kittiwake is here: \d+ of \d+ signs found/).waitFor();
    await picture(on, 'charts').waitFor();
    // Mostly of one colour: in the ink of what it stands on.
    await on.getByRole('radio', { name: 'One ink', checked: true }).waitFor();
    await on.getByRole('button', { name: 'Undo: Icons' }).waitFor();
    await untilKept(on);
    const [set] = await listed();
    expect((await stored(server, id)).desk.look.icons.own).to.deep.equal({
      set: `own:${set?.id}`,
      name: 'Kittiwake',
      style: 'Line',
    });
    await on.reload();
    await picture(on, 'post').waitFor();
    await on.keyboard.press('Control+z');
    await on.locator('[data-stage] [data-item="post"] svg').first().waitFor();
    await on.keyboard.press('Control+Shift+z');
    await picture(on, 'post').waitFor();
  });

  it('are drawn in the colours of an ink, to the pixel', async () => {
    const [set] = await listed();
    if (!set) throw new Error('No set');
    const desk = docked();
    const own = { set: `own:${set.id}` as const, name: set.name, style: 'Line' };
    const inks = {
      plain: { way: 'plain' as const },
      two: { way: 'two' as const, dark: '#000080', light: '#ffff00' },
      tint: { way: 'tint' as const, colour: '#0000ff', amount: 100 },
      one: { way: 'one' as const, ink: '#00ffff' },
    };
    const seen: Record<string, unknown> = {};
    for (const [way, ink] of Object.entries(inks)) {
      const id = await addDesk(server, {
        ...desk,
        look: { ...desk.look, icons: { ...desk.look.icons, own, ink } },
      });
      const live = await open(`/live/${id}`);
      const box = await live.locator('[data-item="charts"] :is(img, [style*="mask"])').first().boundingBox();
      const letter = live.locator('[data-item="post"] :is(img, [style*="mask"])').first();
      await letter.waitFor();
      await live.waitForFunction(() =>
        [...document.images].every((image) => image.complete && image.naturalWidth > 0),
      );
      if (!box) throw new Error('Nothing drawn');
      // The left quarter and the right quarter of the two halves.
      const at = (share: number) => ({ x: box.x + box.width * share, y: box.y + box.height / 2 });
      seen[way] = way === 'one' ? null : [await colourAt(live, at(0.25)), await colourAt(live, at(0.75))];
      if (way === 'one') {
        const spot = await letter.boundingBox();
        if (!spot) throw new Error('Nothing drawn');
        seen[way] = await colourAt(live, { x: spot.x + spot.width * 0.2, y: spot.y + spot.height * 0.2 });
      }
      await live.close();
    }
    // By hand: the lightness of red is 0.2126, that of green 0.7152.
    const mix = (light: number) => [
      Math.round(255 * light),
      Math.round(255 * light),
      Math.round(128 * (1 - light)),
    ];
    const tint = (light: number) => [0, 0, Math.round(255 * (0.25 + 0.75 * light))];
    expect(seen['plain']).to.deep.equal([
      [255, 0, 0],
      [0, 255, 0],
    ]);
    near(seen['two'], [mix(0.2126), mix(0.7152)]);
    near(seen['tint'], [tint(0.2126), tint(0.7152)]);
    near([seen['one']], [[0, 255, 255]]);
  });

  it('may be others in the dark half, and single signs one’s own, by press and taken back', async () => {
    const dark = docked();
    const half = { by: 'choice' as const, half: 'dark' as const };
    const id = await addDesk(server, { ...dark, look: { ...dark.look, half } });
    const on = await page(id);
    await on
      .getByRole('group', { name: 'Icon set' })
      .getByRole('button', { name: /^Kittiwake/ })
      .click();
    await picture(on, 'charts').waitFor();
    await on.getByRole('switch', { name: 'Other icons in the dark half' }).click();
    await on.getByText('in the dark half, which is seen').waitFor();
    await on
      .getByRole('group', { name: 'Icon set' })
      .getByRole('button', { name: /^Shell/ })
      .click();
    await on.locator('[data-stage] [data-item="charts"] svg').first().waitFor();
    await untilKept(on);
    const { icons } = (await stored(server, id)).desk.look;
    expect(icons.own?.name).to.equal('Kittiwake');
    expect(icons.dark).to.include({ set: 'shell', own: null });
    await on.getByRole('switch', { name: 'Other icons in the dark half' }).click();
    await picture(on, 'charts').waitFor();
    await on.getByRole('button', { name: /Signs/ }).click();
    await on.getByLabel('Icon file for Trash').setInputFiles({
      name: 'bin.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(svgOf('#ff00ff')),
    });
    await on.getByRole('button', { name: 'Undo: Sign: Trash' }).waitFor();
    await on.getByRole('button', { name: 'Trash: from the set again' }).click();
    await on.getByRole('button', { name: 'Trash: from the set again' }).waitFor({ state: 'detached' });
  });

  it('that are none say so, and change nothing; one off the list comes back', async () => {
    const on = await page(await addDesk(server, docked()));
    await give(on, Buffer.from('Hello'), 'letter.zip');
    await on.getByText('letter.zip: This file is neither a ZIP nor a tar archive').waitFor();
    await on.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await on.getByRole('button', { name: 'Take Kittiwake off the list' }).click();
    await on.getByRole('button', { name: 'Take Kittiwake off the list' }).waitFor({ state: 'detached' });
    await on.getByRole('button', { name: 'Put it back' }).click();
    await on.getByRole('button', { name: 'Take Kittiwake off the list' }).waitFor();
  });
});

/** The colour of a pixel of the page, as red, green and blue. */
async function colourAt(page: Page, { x, y }: { x: number; y: number }): Promise<number[]> {
  const clip = { x: Math.round(x), y: Math.round(y), width: 1, height: 1 };
  const png = await page.screenshot({ clip });
  const { default: sharp } = await import('sharp');
  const { data } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  return [...data];
}

function near(seen: unknown, wanted: readonly (readonly number[])[]): void {
  const colours = seen as number[][];
  wanted.forEach((colour, index) =>
    colour.forEach((channel, at) =>
      expect(colours[index]?.[at], JSON.stringify(colours)).to.be.closeTo(channel, 3),
    ),
  );
}
