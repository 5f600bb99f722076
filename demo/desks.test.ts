import { expect } from 'chai';
import { deltaE } from '../core/values/colour.ts';
import { overlaps } from '../core/values/geometry.ts';
import type { Desk } from '../core/desk/desk.ts';
import { solve } from '../core/scene/solve.ts';
import { demoDesks } from './desks.ts';

const DAY = Date.UTC(2026, 10, 24);
const HOUR = 3_600_000;

/** Sizes that people sit before, in px, beside the ones the desks are made for. */
const OTHER_SCREENS = [
  [1280, 720],
  [1280, 800],
  [1366, 768],
  [1440, 900],
  [1600, 900],
  [2560, 1440],
  [1080, 1920],
] as const;

function standsClear(desk: Desk, moment: number): void {
  for (const { edges, widgets, icons } of solve(desk, { moment, windows: [] }).screens) {
    for (const edge of edges) expect(edge.missing, edge.id).to.equal(0);
    const parts = [...edges, ...widgets, ...icons];
    parts.forEach((part, index) => {
      for (const other of parts.slice(index + 1))
        expect(overlaps(part.rect, other.rect), `${part.id} and ${other.id}`).to.equal(false);
    });
  }
}

describe('the demo', () => {
  for (const desk of demoDesks()) {
    it(`${desk.name}: nothing stands on anything else, at any hour, and all items fit`, () => {
      for (let hour = 0; hour < 24; hour++) standsClear(desk, DAY + hour * HOUR);
    });

    for (const [width, height] of OTHER_SCREENS)
      it(`${desk.name} stands clear on ${width} × ${height}`, () => {
        const screens = desk.screens.map((screen, index) => ({
          ...screen,
          width,
          height,
          scaleFactor: 1,
          x: index * width,
          y: 0,
        }));
        for (const hour of [0, 7, 13, 19]) standsClear({ ...desk, screens }, DAY + hour * HOUR);
      });
  }

  it('has moods that are not one another', () => {
    const desks = demoDesks();
    expect(new Set(desks.map(({ backdrops }) => JSON.stringify(backdrops))).size).to.equal(desks.length);
    desks.forEach((desk, index) => {
      for (const other of desks.slice(index + 1)) {
        const [a, b] = [desk, other].map((one) => solve(one, { moment: DAY }).roles);
        if (!a || !b) continue;
        expect(
          deltaE(a.ground, b.ground) + deltaE(a.accent, b.accent),
          `${desk.name} and ${other.name}`,
        ).to.be.greaterThan(8);
      }
    });
  });

  it('names only applications that its desks have', () => {
    for (const desk of demoDesks()) {
      const known = new Set(desk.applications.map(({ id }) => id));
      for (const { type, options } of desk.edges.flatMap(({ items }) => items)) {
        if (type === 'application') expect(known, desk.name).to.include(options['application']);
      }
    }
  });
});
