import { expect } from 'chai';
import fc from 'fast-check';
import { centredOn, fit, held, near, toDesk, zoomed, MOST_SCALE, NEAR_SCALE, ROOM } from './camera.ts';

const bounds = { x: 0, y: 0, width: 1920, height: 1080 };
const area = { width: 900, height: 600 };

describe('the stage’s camera', () => {
  it('shows all, in the middle', () => {
    const { scale, at } = fit(bounds, area);
    expect(scale).to.be.closeTo((900 - 2 * ROOM) / 1920, 1e-9);
    expect(at.x).to.be.closeTo(ROOM, 1e-9);
    expect(at.y).to.be.closeTo((600 - 1080 * scale) / 2, 1e-9);
  });

  it('comes nearer with what is under the pointer staying there, within its limits', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(0, 900), number(0, 600), number(0.001, 50), (x, y, scale) => {
        const before = fit(bounds, area);
        const after = zoomed(before, scale, { x, y });
        expect(after.scale).to.be.within(0.05, MOST_SCALE);
        const [was, is] = [toDesk(before, { x, y }), toDesk(after, { x, y })];
        expect(is.x).to.be.closeTo(was.x, 1e-6);
        expect(is.y).to.be.closeTo(was.y, 1e-6);
      }),
    );
  });

  it('never loses the desk, however far it is pushed', () => {
    const number = fc.double({ min: -1e5, max: 1e5, noNaN: true });
    fc.assert(
      fc.property(number, number, fc.double({ min: 0.05, max: 8, noNaN: true }), (x, y, scale) => {
        const { at } = held({ scale, at: { x, y } }, bounds, area);
        const right = at.x + bounds.width * scale;
        // It fills the stage but for the room around, or stands in the middle.
        if (bounds.width * scale > area.width - 2 * ROOM) {
          expect(at.x).to.be.at.most(ROOM + 1e-6);
          expect(right).to.be.at.least(area.width - ROOM - 1e-6);
        } else expect(at.x).to.be.closeTo((area.width - bounds.width * scale) / 2, 1e-6);
      }),
    );
  });

  it('comes near enough to an edge to work on it, and to its nearest part where it is long', () => {
    const panel = { x: 0, y: 0, width: 1920, height: 40 };
    const camera = near(fit(bounds, area), panel, area);
    expect(camera.scale).to.be.at.least(1);
    expect(camera.at.y).to.be.closeTo(300 - 20 * camera.scale, 1e-6);
    const middle = toDesk(camera, { x: area.width / 2, y: area.height / 2 });
    expect(middle.x).to.be.closeTo(960, 1e-6);
    const corner = { x: 1800, y: 1000, width: 100, height: 60 };
    const close = near(fit(bounds, area), corner, area);
    expect(toDesk(close, { x: 450, y: 300 }).x).to.be.closeTo(1850, 1e-6);
    expect(close.scale).to.equal(4);
  });

  it('goes back from nearer by, and stays at the part of a long edge that is seen', () => {
    const panel = { x: 0, y: 0, width: 1920, height: 40 };
    const seen = centredOn({ x: 700, y: 20 }, 3, area);
    const camera = near(seen, panel, area, NEAR_SCALE);
    expect(camera.scale).to.equal(NEAR_SCALE);
    expect(toDesk(camera, { x: 450, y: 300 }).x).to.be.closeTo(700, 1e-6);
    expect(near(seen, panel, area).scale).to.equal(3);
  });
});
