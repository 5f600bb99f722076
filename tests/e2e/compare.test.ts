import { expect } from 'chai';
import type { Page } from 'playwright-core';
import {
  addDesk,
  drag,
  drawn,
  handle,
  stored,
  untilKept,
  withApp,
  type RunningServer,
} from '../support/app.ts';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';

const empty = emptyDesk();
const oneClock = (name: string) => ({
  ...empty,
  name,
  look: { ...empty.look, half: { by: 'choice' as const, half: 'dark' as const } },
  widgets: [clockAt('clock', fromCorner(100, 100)), clockAt('second', fromCorner(100, 600))],
});

const line = (page: Page) => page.getByRole('slider', { name: 'Line between the two' });
const lineAt = async (page: Page) => Number(await line(page).getAttribute('aria-valuenow'));
/** The clock as the stage has it, and in the other state. */
const here = (page: Page) => page.locator('[data-stage] [data-widget="clock"]');
const there = (page: Page) => page.locator('[data-other] [data-widget="clock"]');
const xOf = async (what: ReturnType<typeof here>) => Math.round((await what.boundingBox())?.x ?? NaN);
const open = (page: Page) => page.locator('[data-differences]').getAttribute('data-differences');
const widgetsChapter = (page: Page) =>
  page
    .getByRole('navigation', { name: 'Chapters' })
    .getByRole('button', { name: 'Widgets', exact: true })
    .click();
const untilOpen = (page: Page, count: number) => page.locator(`[data-differences="${count}"]`).waitFor();

async function choose(page: Page, kind: string, which?: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Compare with', exact: true }).click();
  await page.getByRole('option', { name: kind, exact: true }).click();
  if (which === undefined) return;
  await page.getByRole('combobox', { name: 'Which to compare with' }).click();
  await page.getByRole('option', { name: which }).click();
}

/** A desk on which the clock was moved since it was opened. */
async function moved(server: RunningServer, openPage: (path: string) => Promise<Page>, name: string) {
  const id = await addDesk(server, oneClock(name));
  const page = await openPage(`/desk/${id}`);
  await handle(page, 'clock').waitFor();
  const before = await xOf(here(page));
  await drag(page, handle(page, 'clock'), { x: 60, y: 0 });
  await page.keyboard.press('Escape');
  await page.keyboard.press('Shift+C');
  await page.getByRole('heading', { name: 'Compare', level: 2 }).waitFor();
  return { page, id, before };
}

withApp('comparing', ({ server, open: openPage }) => {
  it('shows the desk as it was opened beyond a line, which keys and the pointer move, and keeps it over a reload', async () => {
    const { page, before } = await moved(server, openPage, 'By a line');
    await choose(page, 'As it was opened');
    await there(page).waitFor();
    expect(await xOf(there(page))).to.equal(before);
    expect(await xOf(here(page))).to.be.above(before + 40);
    expect(await lineAt(page)).to.equal(50);
    await line(page).focus();
    for (const key of ['ArrowRight', 'ArrowRight', 'Shift+ArrowLeft']) await page.keyboard.press(key);
    expect(await lineAt(page)).to.equal(42);
    // What is seen at a point is what lies on that side of the line.
    const seenAt = async (x: number) => {
      const box = await page.locator('[data-stage]').boundingBox();
      return page.evaluate(
        ([left, top]) =>
          document.elementFromPoint(left ?? 0, top ?? 0)?.closest('[data-other]') ? 'other' : 'desk',
        [(box?.x ?? 0) + x * (box?.width ?? 0), (box?.y ?? 0) + (box?.height ?? 0) / 2],
      );
    };
    expect([await seenAt(0.3), await seenAt(0.6)]).to.deep.equal(['desk', 'other']);
    await drag(page, line(page), { x: 200, y: 0 });
    expect(await lineAt(page)).to.be.above(55);
    expect(await seenAt(0.5)).to.equal('desk');
    const at = await lineAt(page);
    await untilKept(page, { isNew: false });
    await page.reload();
    await there(page).waitFor();
    expect(await lineAt(page)).to.equal(at);

    await widgetsChapter(page);
    await there(page).waitFor({ state: 'detached' });
  });

  it('tells what differs by part, and takes and gives back each by a press or keys, a step each', async () => {
    const { page, id, before } = await moved(server, openPage, 'Piece by piece');
    await choose(page, 'As it was opened');
    await untilOpen(page, 1);
    const place = page.locator('[data-difference="Place"]');
    await page.getByRole('region', { name: /^The clock/ }).waitFor();
    await place.getByRole('radio', { name: /^Other: / }).click();
    await untilOpen(page, 0);
    expect(await xOf(here(page))).to.equal(before);
    await page.getByRole('button', { name: 'Undo: Take place' }).waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets[0]?.place.x).to.equal(100);
    // By keys, back to what the desk had.
    await page.keyboard.press('ArrowLeft');
    await untilOpen(page, 1);
    expect(await xOf(here(page))).to.be.above(before + 40);
    await page.getByRole('button', { name: 'Undo: Give back place' }).waitFor();
    await page.keyboard.press('Control+z');
    await untilOpen(page, 0);
    await page.keyboard.press('Control+z');
    await untilOpen(page, 1);
  });

  it('is of one moment: both clocks go as the ledge goes', async () => {
    const { page } = await moved(server, openPage, 'One moment');
    await choose(page, 'As it was opened');
    await there(page).waitFor();
    const ledge = page.getByRole('slider', { name: 'Time of day' });
    await ledge.focus();
    for (const key of ['Home', 'ArrowRight', 'PageUp']) {
      await page.keyboard.press(key);
      const time = await ledge.getAttribute('aria-valuetext');
      for (const clock of [here(page), there(page)])
        await clock.filter({ hasText: time ?? 'none' }).waitFor({ state: 'attached' });
    }
  });

  it('shows the other alone for as long as a key or a press holds it', async () => {
    const { page } = await moved(server, openPage, 'In turn');
    await choose(page, 'As it was opened');
    await page.getByRole('radio', { name: 'In turn' }).click();
    await there(page).waitFor({ state: 'detached' });
    await page.keyboard.down('c');
    await there(page).waitFor();
    await page.keyboard.up('c');
    await there(page).waitFor({ state: 'detached' });
    const button = page.getByRole('button', { name: /^Hold to see the other/ });
    await button.hover();
    await page.mouse.down();
    await there(page).waitFor();
    await page.mouse.up();
    await there(page).waitFor({ state: 'detached' });
    await button.focus();
    await page.keyboard.down(' ');
    await there(page).waitFor();
    await page.keyboard.up(' ');
    await there(page).waitFor({ state: 'detached' });
  });

  it('shows two side by side equally near, one of them another desk, of which parts come over', async () => {
    const other = await addDesk(server, {
      ...oneClock('Other one'),
      widgets: [clockAt('clock', fromCorner(100, 100)), clockAt('fourth', fromCorner(700, 300))],
    });
    await addDesk(server, oneClock('Counter'));
    const id = await addDesk(server, oneClock('Side by side'));
    const page = await openPage(`/desk/${id}`);
    await handle(page, 'clock').waitFor();
    await page.keyboard.press('Shift+C');
    await choose(page, 'Another desk', 'Other one');
    await there(page).waitFor();
    // The list that has the focus does not take the key for a name.
    const hold = page.getByRole('button', { name: /^Hold to see the other/, pressed: true });
    await page.keyboard.down('c');
    await hold.waitFor();
    await page.keyboard.up('c');
    await hold.waitFor({ state: 'detached' });
    await page
      .getByRole('combobox', { name: 'Which to compare with' })
      .filter({ hasText: 'Other one' })
      .waitFor();
    await page.getByRole('radio', { name: 'Side by side', exact: true }).click();
    await there(page).waitFor();
    await drawn(page);
    const [mine, theirs] = [await here(page).boundingBox(), await there(page).boundingBox()];
    expect(theirs?.width).to.be.closeTo(mine?.width ?? NaN, 0.5);
    expect(theirs?.x).to.be.above((mine?.x ?? NaN) + (mine?.width ?? NaN));
    await page.getByRole('button', { name: 'Nearer' }).click();
    await drawn(page);
    const [near, nearThere] = [await here(page).boundingBox(), await there(page).boundingBox()];
    expect(near?.width).to.be.above((mine?.width ?? NaN) * 1.1);
    expect(nearThere?.width).to.be.closeTo(near?.width ?? NaN, 0.5);
    await page.locator('[data-difference="Stands on the desk"]').first().waitFor();
    await page.getByRole('button', { name: 'Take all', exact: true }).click();
    await untilOpen(page, 0);
    await untilKept(page);
    const { desk } = await stored(server, id);
    expect(desk.widgets.map((widget) => widget.id)).to.deep.equal(['clock', 'fourth']);
    expect((await stored(server, other)).desk.widgets).to.have.length(2);
    await page.getByRole('button', { name: 'Give back all', exact: true }).click();
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets.map((widget) => widget.id)).to.deep.equal([
      'clock',
      'second',
    ]);
  });

  it('is led to from keeps, arrangements and the history; what is gone is said', async () => {
    const { page, id, before } = await moved(server, openPage, 'From everywhere');
    await untilKept(page);
    await page.keyboard.press('Control+b');
    await page.getByRole('textbox', { name: 'Name of the keep' }).fill('By the door');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Compare with By the door' }).click();
    await page.getByText('Nothing differs.').waitFor();
    await widgetsChapter(page);
    await page.getByRole('button', { name: /^Arrangements/ }).click();
    const name = page.getByRole('textbox', { name: 'Name of the new arrangement' });
    for (const text of ['By day', 'By night']) {
      await name.fill(text);
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: `Arrangement: ${text}`, exact: true }).waitFor();
    }
    await drag(page, handle(page, 'clock'), { x: 0, y: 60 });
    await page.keyboard.press('Escape');
    await widgetsChapter(page);
    await page.getByRole('button', { name: /^Arrangements/ }).click();
    await page.getByRole('button', { name: 'Compare with By day' }).click();
    await untilOpen(page, 1);
    expect(await xOf(there(page))).to.be.above(before + 40);
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('What do you want to do', { exact: false }).fill('history of the desk');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'As it was opened', exact: true }).hover();
    await page.getByRole('button', { name: 'Compare with As it was opened' }).click();
    await there(page).waitFor();
    expect(await xOf(there(page))).to.equal(before);
    expect(Number(await open(page))).to.be.above(0);
    // Another desk that is taken off the shelf meanwhile can't be compared with any more.
    const gone = await addDesk(server, oneClock('Soon gone'));
    await page.reload();
    await choose(page, 'Another desk', 'Soon gone');
    await there(page).waitFor();
    await fetch(`${server.address}/api/desks/${gone}`, { method: 'DELETE' });
    await page.reload();
    await page.getByRole('alert').waitFor();
    expect(await page.getByRole('alert').textContent()).to.match(/not|gone/);
    await choose(page, 'As it was opened');
    await there(page).waitFor();
    await untilKept(page, { isNew: false });
    expect((await stored(server, id)).desk.arrangements.list).to.have.length(2);
  });
});
