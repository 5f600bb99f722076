import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect } from 'chai';
import { createItem, createPanel } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Scene } from '../../core/scene/scene.ts';
import { unpackTones, type Tones } from '../../core/backdrop/tones.ts';
import { backdropsOf, nearerOf } from '../../core/scene/backdrop.ts';
import { solve } from '../../core/scene/solve.ts';
import type { Half } from '../../core/values/roles.ts';
import { learnDesk } from '../../core/scene/learn.ts';
import { expandCalendar } from '../../core/sources/calendar/expand.ts';
import { spanAround } from '../../core/sources/calendar/span.ts';
import type { Feed } from '../../core/sources/feeds.ts';
import { demoDesks } from '../../demo/desks.ts';
import { DAWN, emptyDesk } from '../support/desks.ts';
import { addDesk, stored, withApp, chooseEdge } from '../support/app.ts';
import { hexOfCss } from '../support/pixels.ts';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** Every part with its rectangle: screens, edges, items and widgets. */
function rectsOf(scene: Scene): Record<string, number[]> {
  const round = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }) =>
    [x, y, width, height].map((value) => Math.round(value * 100) / 100);
  return Object.fromEntries(
    scene.screens.flatMap((screen) => [
      [screen.id, round(screen.rect)],
      ...screen.edges.map((edge) => [edge.id, round(edge.rect)]),
      ...screen.edges.flatMap(({ items }) => items.map((item) => [item.id, round(item.rect)])),
      ...screen.widgets.map((widget) => [widget.id, round(widget.rect)]),
    ]),
  ) as Record<string, number[]>;
}

/** What parts are written in, as far as that follows what lies behind them. */
function inksOf(scene: Scene): Record<string, string> {
  return Object.fromEntries(
    scene.screens.flatMap((screen) => [
      ...screen.widgets.map(({ id, surface }) => [id, surface.ink]),
      ...screen.edges.flatMap(({ surface, items }) =>
        items.map((item) => [item.id, (item.surface ?? surface).ink]),
      ),
    ]),
  ) as Record<string, string>;
}

/** What lies behind the screens of a desk, as the server tells it. */
async function tonesFrom(address: string, desk: Desk, half?: Half): Promise<Map<string, Tones>> {
  const maps = [...backdropsOf(desk, { moment: DAWN, half })].map(async ([screen, backdrop]) => {
    const drawn = encodeURIComponent(JSON.stringify(nearerOf(backdrop)));
    const told = await fetch(`${address}/api/backdrops/tones?drawn=${drawn}`);
    const tones = unpackTones(new Uint8Array(await told.arrayBuffer()));
    if (!tones) throw new Error('Not a map');
    return [screen, tones] as const;
  });
  return new Map(await Promise.all(maps));
}

/** What a desk's calendars hold, where they stand in it: an open desk works that out by itself. */
function calendarsOf({ place, sources }: Desk): Feed[] {
  const { from, to } = spanAround(DAWN, place.zone);
  return sources.outside.calendars.flatMap((one) =>
    one.from.by === 'file'
      ? {
          source: 'calendar',
          origin: one.id,
          samples: [{ moment: DAWN, reading: expandCalendar(one.from.text, place.zone, from, to) }],
        }
      : [],
  );
}

withApp('a desk is solved the same', ({ server, open }) => {
  const solved = async (desk: Desk, feeds: readonly Feed[] = []) => {
    await learnDesk(desk);
    return rectsOf(solve(desk, { moment: DAWN, feeds }));
  };

  for (const desk of demoDesks()) {
    it(`in the core, on the server, at the command line and on the page: ${desk.name}`, async () => {
      const core = await solved(desk);
      // As the server gives it out.
      const { desk: served } = await stored(server, desk.id);
      expect(await solved(served)).to.deep.equal(core);

      // Asked for before the process that holds all else up: a connection that rested meanwhile may be gone.
      const tones = await tonesFrom(server.address, desk);

      // In a process of its own, from the file.
      const file = join(server.folder, `${desk.id}.ledge`);
      const bundle = await fetch(`${server.address}/api/desks/${desk.id}/bundle`);
      writeFileSync(file, Buffer.from(await bundle.arrayBuffer()));
      const said = execFileSync(
        process.execPath,
        ['--import', 'tsx', 'cli/ledge.ts', 'solve', file, '--at', new Date(DAWN).toISOString(), '--json'],
        { cwd: root, encoding: 'utf8', maxBuffer: 1e8 },
      );
      expect(rectsOf(JSON.parse(said) as Scene)).to.deep.equal(core);
      const inks = inksOf(solve(desk, { moment: DAWN, tones }));
      expect(inksOf(JSON.parse(said) as Scene)).to.deep.equal(inks);

      // On the page: what is drawn, read off the document.
      const page = await open(`/desk/${desk.id}`, new Date(DAWN));
      await page.locator('[data-stage] [data-screen]').first().waitFor();
      const shown = await solved(desk, calendarsOf(desk));
      const read = (): Promise<Record<string, number[]>> =>
        page.evaluate(() => {
          const screen = document.querySelector<HTMLElement>('[data-stage] [data-screen]');
          if (!screen) return {};
          const outer = screen.getBoundingClientRect();
          const scale = outer.width / screen.offsetWidth;
          return Object.fromEntries(
            [...screen.querySelectorAll<HTMLElement>('[data-edge], [data-item], [data-widget]')].map(
              (part) => {
                const box = part.getBoundingClientRect();
                const { edge, item, widget } = part.dataset;
                return [
                  edge ?? item ?? widget ?? '',
                  [box.x - outer.x, box.y - outer.y, box.width, box.height].map((value) => value / scale),
                ];
              },
            ),
          );
        });
      const isAsShown = (drawn: Record<string, number[]>) =>
        Object.entries(shown).every(
          ([id, rect]) =>
            !drawn[id] || drawn[id].every((value, at) => Math.abs(value - (rect[at] ?? NaN)) <= 0.6),
        );
      // Its calendar is read beside the page.
      let drawn = await read();
      for (let frames = 0; frames < 600 && !isAsShown(drawn); frames++) {
        await page.evaluate(() => new Promise(requestAnimationFrame));
        drawn = await read();
      }
      expect(Object.keys(drawn).length).to.be.at.least(desk.widgets.length);
      const readInks = async () =>
        (
          await page.evaluate(() =>
            [
              ...document.querySelectorAll<HTMLElement>(
                '[data-stage] [data-item], [data-stage] [data-widget]',
              ),
            ].map((part) => {
              const inside = part.dataset['widget'] ? (part.firstElementChild ?? part) : part;
              return [
                part.dataset['item'] ?? part.dataset['widget'] ?? '',
                getComputedStyle(inside).getPropertyValue('--ink').trim(),
              ] as const;
            }),
          )
        ).map(([id, ink]) => [id, hexOfCss(ink)] as const);
      // The map of what lies behind may come after the desk, where the machine is busy.
      let written = await readInks();
      for (let frames = 0; frames < 600 && written.some(([id, ink]) => ink !== inks[id]); frames++) {
        await page.evaluate(() => new Promise(requestAnimationFrame));
        written = await readInks();
      }
      expect(written.length).to.be.at.least(desk.widgets.length);
      for (const [id, ink] of written) expect(ink, id).to.equal(inks[id]);
      for (const [id, rect] of Object.entries(drawn))
        rect.forEach((value, index) =>
          expect(value, `${id}[${index}]`).to.be.closeTo(shown[id]?.[index] ?? NaN, 0.6),
        );
    });
  }

  it('and keeps items that have too little room to their boxes', async () => {
    const items = Array.from({ length: 40 }, (_, index) =>
      createItem(`i${index}`, index % 2 ? 'clock' : 'date'),
    );
    const desk = { ...emptyDesk(), name: 'Crowded', edges: [createPanel('panel', 'main', 'top', items)] };
    const id = await addDesk(server, { ...desk, screens: [{ ...desk.screens[0]!, width: 600 }] });
    const page = await open(`/desk/${id}`);
    await chooseEdge(page, 'panel');
    await page.getByText(/^No room for/).waitFor();
    const boxes = await page
      .locator('[data-stage] [data-item], [data-stage] [data-more]')
      .evaluateAll((all) =>
        all.map((one) => ({
          ...one.getBoundingClientRect().toJSON(),
          spill: one.scrollWidth - one.clientWidth,
        })),
      );
    expect(boxes.length).to.be.greaterThan(3);
    boxes.sort((a, b) => a.left - b.left);
    boxes.forEach(({ spill, right }, index) => {
      expect(spill).to.be.at.most(1);
      const next = boxes[index + 1];
      if (next) expect(right).to.be.at.most(next.left + 0.5);
    });
  });
});
