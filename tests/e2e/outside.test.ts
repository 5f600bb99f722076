import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { createWidget } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Widget } from '../../core/desk/shapes/widgets.ts';
import { netsCalendar } from '../../demo/nets-calendar.ts';
import type { WidgetType } from '../../core/widgets/list.ts';
import { DAWN, emptyDesk } from '../support/desks.ts';
import { addDesk, stored, untilKept, withApp } from '../support/app.ts';

const MOMENT = new Date(DAWN);

function deskWith(
  ...list: [id: string, type: WidgetType, face: string, options?: object, more?: Partial<Widget>][]
): Desk {
  return {
    ...emptyDesk(),
    name: 'Outside',
    widgets: list.map(([id, type, face, options = {}, more = {}], index) => ({
      ...createWidget({
        id,
        type,
        face,
        place: { hangs: { from: 'screen', screen: 'main', point: 'top-left' }, x: 40, y: 30 + index * 180 },
        deskFinish: emptyDesk().look.finish,
        options: options as Record<string, unknown>,
      }),
      ...more,
    })),
  };
}

const onDesk = (page: Page, id: string) => page.locator(`[data-widget="${id}"]`).first();
const page = async (shown: Page, name: RegExp) => {
  await shown.getByRole('button', { name: 'Widgets', exact: true }).click();
  await shown.getByRole('button', { name }).click();
};
const textFile = (name: string, text: string) => ({
  name,
  mimeType: 'text/plain',
  buffer: Buffer.from(text),
});

withApp('what comes from outside', ({ server, open }) => {
  let web: Server;
  let address = '';
  before(async () => {
    web = createServer((_, response) => {
      response.end(
        '<rss version="2.0"><channel><title>Inside</title><item><title>Owl &amp; &lt;b&gt;lamp&lt;/b&gt;</title></item></channel></rss>',
      );
    }).listen(0, '127.0.0.1');
    await once(web, 'listening');
    address = `http://127.0.0.1:${(web.address() as AddressInfo).port}/feed`;
  });
  after(() => {
    web.closeAllConnections();
    web.close();
  });

  it('is written into a text: completed with its value, a mistake marked, the last good text kept', async () => {
    const id = await addDesk(server, deskWith(['line', 'readout', 'plain', { text: 'At {place.name}' }]));
    const shown = await open(`/desk/${id}`);
    await onDesk(shown, 'line').getByText('At Marrow Point').waitFor();
    await onDesk(shown, 'line').dblclick({ force: true });
    const editor = shown.getByRole('textbox', { name: 'Text' });
    await editor.click();
    await shown.keyboard.press('Control+End');
    await shown.keyboard.type(', {tide.he');
    const option = shown.getByRole('option', { name: /tide\.height/ });
    await option.waitFor();
    expect(await option.textContent()).to.match(/tide\.height-?[\d.]+ m/);
    await shown.keyboard.press('Enter');
    await shown.keyboard.type('.round(1)} m');
    await onDesk(shown, 'line')
      .getByText(/^At Marrow Point, −?[\d.]+ m$/)
      .waitFor();
    await untilKept(shown);
    // A mistake is told, and nothing on the desk changes.
    const good = 'At Marrow Point';
    await shown.keyboard.type(' {machine.procesor}');
    await shown.getByRole('alert').getByText('There is no “procesor” here').waitFor();
    await shown.locator('.cm-lintRange-error', { hasText: 'procesor' }).waitFor();
    expect(await onDesk(shown, 'line').locator('.run').textContent()).to.contain(good);
    await shown.reload();
    await onDesk(shown, 'line').getByText(good).waitFor();
    const { desk } = await stored(server, id);
    // What was typed before the mistake was good.
    expect(String(desk.widgets[0]?.options['text']).trim()).to.equal(
      'At {place.name}, {tide.height.round(1)} m',
    );
  });

  it('decides whether a widget is there: while something holds, or the pointer is near', async () => {
    const desk = deskWith(
      ['always', 'clock', 'line', { seconds: true }],
      ['while', 'clock', 'line', {}, { shows: { by: 'while', holds: 'sun.up' } }],
      ['near', 'clock', 'line', {}, { shows: { by: 'near', reach: 20 } }],
    );
    const id = await addDesk(server, desk);
    const shown = await open(`/live/${id}`, MOMENT);
    await onDesk(shown, 'always').waitFor();
    const isAway = (part: string) =>
      onDesk(shown, part).evaluate((element) => element.hasAttribute('data-away'));
    await shown.waitForFunction(() => document.querySelector('[data-widget="near"][data-away]'));
    // The sun rises at 07:51.
    expect(await isAway('while')).to.equal(true);
    expect(await isAway('always')).to.equal(false);
    const box = await onDesk(shown, 'near').boundingBox();
    if (!box) throw new Error('Nowhere');
    await shown.mouse.move(box.x + 10, box.y - 10);
    await shown.waitForFunction(() => document.querySelector('[data-widget="near"]:not([data-away])'));
    await shown.mouse.move(box.x + 10, box.y + 300);
    await shown.waitForFunction(() => document.querySelector('[data-widget="near"][data-away]'));
    await shown.clock.setFixedTime(new Date(DAWN + 3_600_000));
    await shown.waitForFunction(() => document.querySelector('[data-widget="while"]:not([data-away])'));
  });

  it('is a calendar out of a file, whose tasks are ticked on the desk and leave with it', async () => {
    const id = await addDesk(
      server,
      deskWith(['tasks', 'calendar', 'tasks', { rows: 12 }], ['list', 'calendar', 'agenda']),
    );
    const shown = await open(`/desk/${id}`, MOMENT);
    await page(shown, /^Calendars/);
    await shown.getByRole('button', { name: 'Calendar', exact: true }).click();
    const file = shown.locator('input[type="file"][aria-label="calendar: file"]');
    await file.setInputFiles(textFile('notes.ics', 'BEGIN:NOTHING'));
    await shown.getByText(/“notes\.ics” was not taken/).waitFor();
    await file.setInputFiles(textFile('huge.ics', 'x'.repeat(300_000)));
    await shown.getByText(/“huge\.ics” was not taken: a calendar/).waitFor();
    // A rule that would keep its reader busy for ever is stopped and told by name; the rest of its calendar is there.
    await file.setInputFiles(
      textFile(
        'endless.ics',
        [
          'BEGIN:VCALENDAR',
          'BEGIN:VEVENT',
          'UID:1',
          'SUMMARY:Endless',
          'DTSTART:20200101T000000Z',
          `RRULE:FREQ=HOURLY;BYMONTH=2;BYMONTHDAY=30`,
          'END:VEVENT',
          'BEGIN:VEVENT',
          'UID:2',
          'SUMMARY:Beside it',
          `DTSTART:${new Date(MOMENT.getTime() + 3_600_000).toISOString().replaceAll(/[-:]|\.\d+/g, '')}`,
          'END:VEVENT',
          'END:VCALENDAR',
        ].join('\r\n'),
      ),
    );
    await onDesk(shown, 'list').getByText('Beside it').first().waitFor();
    await shown
      .getByText(/Of “Endless”: it repeats in a way that takes too long/)
      .first()
      .waitFor();
    await shown.getByRole('button', { name: 'Undo: Calendar from endless.ics' }).click();
    await file.setInputFiles(textFile('nets.ics', netsCalendar));
    await onDesk(shown, 'tasks').getByText('Mend net three').waitFor();
    await onDesk(shown, 'list').getByText('Nets open').first().waitFor();
    await untilKept(shown);
    await shown.getByRole('button', { name: 'Try' }).click();
    await onDesk(shown, 'tasks').getByRole('checkbox', { name: 'Mend net three' }).click();
    await onDesk(shown, 'tasks').getByRole('checkbox', { name: 'Mend net three', checked: true }).waitFor();
    await untilKept(shown);
    await shown.reload();
    await onDesk(shown, 'tasks').getByText('Mend net three').waitFor();
    const [download] = await Promise.all([
      shown.waitForEvent('download'),
      shown.getByRole('button', { name: 'Write out' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('nets.ics');
    const text = readFileSync(await download.path(), 'utf8');
    expect(text.match(/STATUS:COMPLETED/g)).to.have.length(3);
    expect(text).to.include('RRULE:FREQ=WEEKLY;BYDAY=TU,TH,SA');
  });

  it('is a weather station: the one that stands in, or what is typed', async () => {
    const id = await addDesk(server, deskWith(['weather', 'weather', 'line', { from: 'station' }]));
    const shown = await open(`/desk/${id}`);
    // The stand-in reports within the half hour.
    await onDesk(shown, 'weather')
      .getByText(/^−?\d+°$/)
      .waitFor();
    await page(shown, /^Weather station/);
    await shown.getByText(/^METAR XXMP/).waitFor();
    await shown.getByText('Read just now').waitFor();
    await shown
      .getByRole('radio', { name: 'Typed' })
      .or(shown.getByRole('button', { name: 'Typed' }))
      .first()
      .click();
    const day = new Date().toISOString().slice(8, 10);
    const field = shown.getByRole('textbox', { name: 'METAR and TAF' });
    await field.fill('good morning');
    await field.blur();
    await shown.getByText('is neither a METAR nor a TAF').waitFor();
    await onDesk(shown, 'weather').getByText('No report yet').waitFor();
    await field.fill(`METAR XXMP ${day}0001Z 24008KT 9999 -RA BKN012 M11/M13 Q1009`);
    await field.blur();
    await onDesk(shown, 'weather').getByText('−11°').waitFor();
    await onDesk(shown, 'weather')
      .getByText(/Light rain/)
      .waitFor();
    await untilKept(shown);
    await shown.reload();
    await onDesk(shown, 'weather').getByText('−11°').waitFor();
  });

  it('is never one’s own network unless a host is allowed by name, and says what can’t be read', async () => {
    const desk = deskWith(['news', 'headlines', 'list']);
    desk.sources = {
      ...desk.sources,
      outside: {
        ...desk.sources.outside,
        headlines: [{ id: 'inside', title: 'Inside', from: { by: 'address', address, every: 60 } }],
      },
    };
    const id = await addDesk(server, desk);
    const shown = await open(`/desk/${id}`);
    await shown.getByRole('img', { name: /“127\.0\.0\.1:\d+” lies in your own network/ }).waitFor();
    await page(shown, /^Headlines \d/);
    await shown.getByRole('button', { name: /^Allow 127\.0\.0\.1:\d+$/ }).click();
    await onDesk(shown, 'news').getByText('Owl & lamp').waitFor();
    await shown.getByText('Read just now').waitFor();
    expect(await shown.getByRole('img', { name: /not read/i }).count()).to.equal(0);
    // Known from now on, also to another page.
    expect(await (await fetch(`${server.address}/api/hosts`)).json()).to.deep.equal([new URL(address).host]);
    // A list of sources comes and goes as OPML.
    const opml =
      '<opml version="2.0"><body><outline text="Group"><outline text="Far" xmlUrl="https://marrow.example/feed"/><outline text="Bad" xmlUrl="file:///etc/passwd"/></outline></body></opml>';
    await shown
      .locator('input[type="file"][aria-label="List of sources"]')
      .setInputFiles(textFile('list.opml', opml));
    await shown.getByText('1 sources came from “list.opml”, 1 were left out.').waitFor();
    await untilKept(shown);
    expect((await stored(server, id)).desk.sources.outside.headlines.map(({ title }) => title)).to.deep.equal(
      ['Inside', 'Far'],
    );
    const [download] = await Promise.all([
      shown.waitForEvent('download'),
      shown.getByRole('button', { name: 'As OPML' }).click(),
    ]);
    expect(readFileSync(await download.path(), 'utf8')).to.include('xmlUrl="https://marrow.example/feed"');
    // What was allowed is listed, and taken back.
    await shown.getByRole('button', { name: /^No more from 127\.0\.0\.1:/ }).click();
    await shown.getByText('Allowed in your own network').waitFor({ state: 'detached' });
    expect(await (await fetch(`${server.address}/api/hosts`)).json()).to.deep.equal([]);
  });

  it('is time that a timer counts, started by a press and still running after a reload', async () => {
    const id = await addDesk(server, deskWith(['timer', 'clock', 'timer', { minutes: 5 }]));
    const shown = await open(`/live/${id}`, MOMENT);
    await onDesk(shown, 'timer').getByText('5:00').waitFor();
    await shown.getByRole('button', { name: 'Start the timer, 5:00' }).press('Enter');
    await onDesk(shown, 'timer').getByText('to go').waitFor();
    await shown.clock.setFixedTime(new Date(DAWN + 61_000));
    await onDesk(shown, 'timer').getByText('3:59').waitFor();
    const until = async () => (await stored(server, id)).desk.widgets[0]?.options['startedAt'];
    while ((await until()) === null) await shown.waitForTimeout(50);
    await shown.reload();
    await onDesk(shown, 'timer').getByText('3:59').waitFor();
    await shown.getByRole('button', { name: 'Set the timer back, 3:59' }).click();
    await onDesk(shown, 'timer').getByText('waits').waitFor();
  });
});
