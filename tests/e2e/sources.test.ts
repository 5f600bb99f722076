import { expect } from 'chai';
import { createWidget } from '../../core/desk/defaults.ts';
import { temperatureIn, told } from '../../core/sources/units.ts';
import { read } from '../../core/sources/weather/simulate.ts';
import { DAWN, emptyDesk } from '../support/desks.ts';
import { addDesk, stored, untilKept, withApp } from '../support/app.ts';

const MOMENT = new Date(DAWN);

withApp('what widgets read', ({ server, open }) => {
  const widgets = (...kinds: ['weather' | 'almanac', string][]) => ({
    ...emptyDesk(),
    name: 'Readings',
    widgets: kinds.map(([type, face], index) =>
      createWidget({
        id: `${type}-${face}`,
        type,
        face,
        place: { hangs: { from: 'screen', screen: 'main', point: 'top-left' }, x: 40, y: 40 + index * 260 },
        deskFinish: emptyDesk().look.finish,
      }),
    ),
  });

  it('is shown in the units of the desk, set at one place, undone and kept', async () => {
    const desk = widgets(['weather', 'line']);
    const id = await addDesk(server, desk);
    const page = await open(`/desk/${id}`, MOMENT);
    const { now } = read({ seed: desk.seed, place: desk.place }, Math.floor(DAWN / 300_000) * 300_000);
    const seen = (unit: 'c' | 'f') =>
      page
        .locator('[data-stage] [data-widget="weather-line"] .run', {
          hasText: told(temperatureIn(unit, now.temperature)),
        })
        .first()
        .waitFor();
    await seen('c');
    await page.getByRole('button', { name: 'Widgets', exact: true }).click();
    await page.getByRole('button', { name: /^Units/ }).click();
    await page
      .getByRole('radio', { name: '°F' })
      .or(page.getByRole('button', { name: '°F' }))
      .first()
      .click();
    await seen('f');
    await untilKept(page);
    expect((await stored(server, id)).desk.sources.units.temperature).to.equal('f');
    await page.keyboard.press('Control+z');
    await seen('c');
    await page.keyboard.press('Control+Shift+z');
    await seen('f');
    await untilKept(page, { isNew: false });
    await page.reload();
    await seen('f');
  });

  it('follows the ledge: the water stands elsewhere at another hour', async () => {
    const id = await addDesk(server, widgets(['almanac', 'tide'], ['weather', 'sky']));
    const page = await open(`/desk/${id}`, MOMENT);
    const water = page.locator('[data-stage] [data-widget="almanac-tide"] svg');
    await water.waitFor();
    const said = await water.getAttribute('aria-label');
    await page
      .getByRole('slider', { name: /moment|time of day/i })
      .first()
      .press('PageUp');
    await page.waitForFunction(
      (before) =>
        document
          .querySelector('[data-stage] [data-widget="almanac-tide"] svg')
          ?.getAttribute('aria-label') !== before,
      said,
    );
  });

  it('comes of a tide of one’s own: a wave less changes it, a wrong figure says why', async () => {
    const id = await addDesk(server, widgets(['almanac', 'tide']));
    const page = await open(`/desk/${id}`, MOMENT);
    await page.getByRole('button', { name: 'Widgets', exact: true }).click();
    await page.getByRole('button', { name: /^Tide/ }).click();
    await page.getByText('the next day').waitFor();
    await page.getByRole('complementary').getByRole('button', { name: 'More', exact: true }).click();
    const amplitude = page.getByRole('textbox', { name: 'Constituent 1: amplitude' });
    await amplitude.fill('90');
    await page.keyboard.press('Enter');
    await page.getByText(/Not taken/).waitFor();
    await amplitude.fill('0.4');
    await page.keyboard.press('Enter');
    await untilKept(page);
    expect((await stored(server, id)).desk.sources.tide.constituents[0]?.amplitude).to.equal(0.4);
    await page.getByRole('button', { name: 'Marrow Point’s' }).click();
    await untilKept(page);
    expect((await stored(server, id)).desk.sources.tide.constituents[0]?.amplitude).to.equal(1.58);
  });

  it('is found in the gallery by what people would type, and added by one press', async () => {
    const page = await open('/desk/bare-desk', MOMENT);
    const field = page.getByRole('searchbox', { name: 'Find a widget' });
    await page.getByRole('button', { name: 'Widgets', exact: true }).click();
    for (const [typed, card] of [
      ['temperature', 'weather-line'],
      ['moon', 'almanac-moon'],
      ['ram', 'machine-rings'],
    ] as const) {
      await field.fill(typed);
      await page.locator(`[data-card="${card}"]`).waitFor();
    }
    await field.fill('nothing of the kind');
    await page.getByText('Nothing shows that yet').waitFor();
    await field.fill('tide');
    await page.locator('[data-card="almanac-tide"]').click();
    await page.locator('[data-stage] [data-widget] svg').first().waitFor();
    await page.getByRole('heading', { name: 'Almanac', level: 2 }).waitFor();
  });

  it('can be added that the desk has none of yet, also once nothing more can be fetched', async () => {
    const page = await open('/desk/bare-desk', MOMENT);
    await page.locator('[data-card="clock-serif"] .run').first().waitFor();
    // What comes later comes once the page has time.
    await page.waitForLoadState('networkidle');
    await page.route('**/assets/**', (route) => route.abort());
    const before = await page.locator('[data-stage] [data-widget]').count();
    await page.getByRole('searchbox', { name: 'Find a widget' }).fill('forecast');
    await page.locator('[data-card="weather-days"]').click();
    const added = page.locator('[data-stage] [data-widget]').nth(before);
    await added.locator('.run', { hasText: 'Today' }).waitFor();
    await added.locator('svg').first().waitFor();
    await page.keyboard.press('Control+z');
    await added.waitFor({ state: 'detached' });
  });

  it('moves with the desk: a place is typed in any usual way or found by name, its zone comes with it, and is undone', async () => {
    const id = await addDesk(server, widgets(['almanac', 'table']));
    const page = await open(`/desk/${id}`, MOMENT);
    const placeOf = async () => (await stored(server, id)).desk.place;
    await page.getByRole('button', { name: /^Place:/ }).click();
    const field = page.getByRole('textbox', { name: 'Coordinates or a name' });
    await field.fill('95, 12');
    await field.press('Enter');
    await page.getByRole('alert').getByText('Understood 95 and 12: a latitude is from −90 to 90.').waitFor();
    await field.fill('43°12′S 172°42′E');
    await page.getByText('Pacific/Auckland').waitFor();
    await field.press('Enter');
    await untilKept(page);
    expect(await placeOf()).to.include({ latitude: -43.2, longitude: 172.7, zone: 'Pacific/Auckland' });
    await field.fill('nowhere of that kind');
    await page.getByText('No place of that name is known here').waitFor();
    await field.fill('tern');
    await page.getByRole('button', { name: /^Tern Skerry/ }).click();
    await untilKept(page);
    expect(await placeOf()).to.include({ name: 'Tern Skerry', latitude: 64.9, zone: 'Europe/Oslo' });
    // The map says the same: its middle is where the equator meets the first meridian.
    const map = page.getByRole('img', { name: 'Map of the Earth with day and night' });
    await map.click();
    await untilKept(page);
    const { latitude, longitude } = await placeOf();
    expect(Math.hypot(latitude, longitude)).to.be.below(1);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.getByRole('button', { name: `Place: ${emptyDesk().place.name}` }).waitFor();
  });
});
