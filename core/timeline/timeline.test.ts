import { expect } from 'chai';
import fc from 'fast-check';
import { demoDesks } from '../../demo/desks.ts';
import { arbitraryMoment, bareDesk } from '../../tests/support/desks.ts';
import { createMotif } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { Holds } from '../desk/shapes/arrangements.ts';
import type { HalfBy } from '../look/schema.ts';
import { dayOf } from '../sources/time/time.ts';
import { half } from './half/half.ts';
import { triggers } from './list.ts';
import type { TimelineContext, Trigger } from './trigger.ts';

const MINUTE = 60_000;
const { place: marrowPoint } = bareDesk();
const places = [
  marrowPoint,
  { name: 'Half an hour', latitude: -31.5, longitude: 159, zone: 'Australia/Lord_Howe' },
  { name: 'Far north', latitude: 78, longitude: 16, zone: 'Arctic/Longyearbyen' },
  { name: 'At the line', latitude: 0.5, longitude: -90, zone: 'Pacific/Galapagos' },
];

const time = fc
  .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
  .map((pair) => pair.map((part) => String(part).padStart(2, '0')).join(':'));
const arbitraryHalf = fc.oneof(
  fc.constant<HalfBy>({ by: 'sun' }),
  fc.constant<HalfBy>({ by: 'choice', half: 'light' }),
  fc.record({ by: fc.constant('hours' as const), light: time, dark: time }),
);

/** A desk of which everything follows the clock: its half, a rotation, and edges that slip away. */
function restless(by: HalfBy, minutes: number): Desk {
  const desk = structuredClone(demoDesks()[0] as Desk);
  const entry = (id: string) => ({ id, source: createMotif('headland', 7) });
  const [backdrop] = desk.backdrops;
  if (backdrop)
    backdrop.source = {
      kind: 'rotation',
      entries: [entry('one'), entry('two'), entry('three')],
      change: { by: 'every', minutes },
      shuffled: true,
      fade: 0,
    };
  for (const edge of desk.edges) edge.shows = { by: 'slips', in: 400, out: 2500 };
  const arranged = (id: string, holds: Holds) => ({
    ...{ id, name: id, holds },
    ...{ widgets: null, edges: null, windows: null },
  });
  const list = [
    arranged('night', { by: 'hours', from: '22:00', to: '01:30' }),
    arranged('dark', { by: 'half', half: 'dark' }),
    arranged('day', { by: 'choice' }),
  ];
  return {
    ...desk,
    look: { ...desk.look, half: by },
    arrangements: { list, chosen: 'day', standing: 'day' },
  };
}

const contextOf = (desk: Desk, place = desk.place): TimelineContext => ({
  place,
  seed: desk.seed,
  screen: desk.screens[0]?.id ?? '',
  backdrop: desk.backdrops[0]?.id ?? '',
});

/** Holds what a trigger says of a day to how it is on each minute of it. */
function walk(
  trigger: Trigger,
  desk: Desk,
  context: TimelineContext,
  day: { start: number; end: number },
): void {
  const subject = trigger.subject(desk, context);
  if (subject === null) return;
  const changes = trigger.changesBetween(subject, context, day.start, day.end).map(({ at }) => at);
  for (const at of changes) expect(at).to.be.within(day.start, day.end - 1);
  let before = trigger.stateAt(subject, context, day.start);
  for (let at = day.start; at + MINUTE < day.end; at += MINUTE) {
    const now = trigger.stateAt(subject, context, at + MINUTE);
    const between = changes.filter((change) => change > at && change <= at + MINUTE).length;
    const where = `${trigger.key} at ${new Date(at).toISOString()} in ${context.place.zone}`;
    if (between === 0) expect(now, where).to.equal(before);
    if (between === 1) expect(now, where).not.to.equal(before);
    before = now;
  }
}

describe('what follows the clock', () => {
  it('changes at the moments that are told, and at no others', () => {
    fc.assert(
      fc.property(
        arbitraryMoment,
        fc.constantFrom(...places),
        arbitraryHalf,
        fc.constantFrom(20, 45, 360),
        (moment, place, by, minutes) => {
          const desk = restless(by, minutes);
          for (const trigger of triggers)
            walk(trigger, desk, contextOf(desk, place), dayOf(moment, place.zone));
        },
      ),
      { numRuns: 25 },
    );
  });

  it('is found on a desk of which all of it does, and not on one that stays as it is', () => {
    const found = (desk: Desk) =>
      triggers
        .filter((trigger) => {
          const subject = trigger.subject(desk, contextOf(desk));
          const { start, end } = dayOf(Date.UTC(2026, 10, 24, 12), desk.place.zone);
          return subject !== null && trigger.changesBetween(subject, contextOf(desk), start, end).length > 0;
        })
        .map(({ key }) => key);
    expect(found(restless({ by: 'sun' }, 360))).to.deep.equal(triggers.map(({ key }) => key));
    const still = bareDesk();
    expect(found({ ...still, look: { ...still.look, half: { by: 'choice', half: 'dark' } } })).to.deep.equal(
      [],
    );
  });
});

describe('the half by hours', () => {
  const context = { place: marrowPoint, seed: 1, screen: '', backdrop: '' };
  const hours: HalfBy = { by: 'hours', light: '01:30', dark: '20:00' };
  const on = (day: number) => {
    const { start, end } = dayOf(day + 12 * 3_600_000, marrowPoint.zone);
    return half
      .changesBetween(hours, context, start, end)
      .map(({ at }) => new Date(at).toISOString().slice(11, 16));
  };

  it('turns once where the clocks are set back over it, and as soon as they are set where they leave it out', () => {
    // On 25 October half past one comes twice, at 00:30 and 01:30 UTC, and counts the second time; on 29 March it does not come.
    expect(on(Date.UTC(2026, 9, 25))).to.deep.equal(['01:30', '20:00']);
    expect(on(Date.UTC(2026, 2, 29))).to.deep.equal(['01:00', '19:00']);
    const at = (hour: number, minute: number) =>
      half.stateAt(hours, context, Date.UTC(2026, 9, 25, hour, minute));
    expect([at(0, 40), at(1, 10), at(1, 31)]).to.deep.equal(['dark', 'dark', 'light']);
  });

  it('does not turn where the sun does not rise, or where both turns fall together', () => {
    const dark = { ...context, place: places[2] ?? marrowPoint };
    const { start, end } = dayOf(Date.UTC(2026, 11, 20, 12), dark.place.zone);
    expect(half.changesBetween({ by: 'sun' }, dark, start, end)).to.deep.equal([]);
    const together: HalfBy = { by: 'hours', light: '06:00', dark: '06:00' };
    expect(half.changesBetween(together, dark, start, end)).to.deep.equal([]);
  });
});
