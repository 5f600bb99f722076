import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { arbitraryDesk, dawnCount } from '../../tests/support/desks.ts';
import { demoDesks } from '../../demo/desks.ts';
import { readDesk, problemText } from './read.ts';
import { FORMAT, deskJsonSchema } from './schema.ts';
import { steps } from './upgrade.ts';

const json = () => JSON.parse(JSON.stringify(dawnCount()));

function firstProblem(value: unknown): string {
  const result = readDesk(value);
  const [problem] = result.ok ? [] : result.problems;
  return problem ? problemText(problem) : 'fine';
}

describe('readDesk', () => {
  it('reads what was written, whatever the desk', () => {
    fc.assert(
      fc.property(arbitraryDesk, (desk) => {
        const result = readDesk(JSON.parse(JSON.stringify(desk)));
        expect(result.ok && result.value).to.deep.equal(desk);
      }),
      { numRuns: 60 },
    );
  });

  it('reads every demo desk', () => {
    for (const desk of demoDesks())
      expect(firstProblem(JSON.parse(JSON.stringify(desk))), desk.name).to.equal('fine');
  });

  it('keeps fields that it does not know, at every depth', () => {
    const desk = json();
    desk.mood = 'calm';
    desk.widgets[0].options.glow = 3;
    desk.edges[0].note = { by: 'warden' };
    const result = readDesk(desk);
    expect(result.ok && JSON.parse(JSON.stringify(result.value))).to.deep.equal(desk);
  });

  it('names the path of what is wrong', () => {
    const wrong: [(desk: ReturnType<typeof json>) => void, RegExp][] = [
      [(desk) => (desk.widgets[3].scale = 'big'), /^widgets\[3\]\.scale: .*number/],
      [(desk) => (desk.widgets[0].type = 'fridge'), /^widgets\[0\]\.type: /],
      [
        (desk) => (desk.widgets[0].options.zone = 'Nowhere/Town'),
        /^widgets\[0\]\.options\.zone: is not a time zone/,
      ],
      [
        (desk) => (desk.widgets[0].options.date = 'YYYY'),
        /^widgets\[0\]\.options\.date: is not a date pattern/,
      ],
      [(desk) => (desk.look.roles.dark.ink = 'reddish'), /^look\.roles\.dark\.ink: is not a colour/],
      [(desk) => (desk.edges[0].screen = 'attic'), /^edges\[0\]\.screen: names a screen that is not there/],
      [(desk) => (desk.edges[1].items[2].id = 'panel-1'), /^edges\[1\]\.items\[2\]\.id: is used twice/],
      [
        (desk) => (desk.widgets[3].place.hangs.part = 'nobody'),
        /^widgets\[3\]\.place\.hangs\.part: names a part that is not there/,
      ],
      [
        (desk) =>
          (desk.widgets[2].place.hangs = { from: 'part', part: 'elsewhere', side: 'top', align: 'start' }),
        /circle/,
      ],
      [(desk) => (desk.screens = []), /^screens: /],
    ];
    for (const [spoil, message] of wrong) {
      const desk = json();
      spoil(desk);
      expect(firstProblem(desk)).to.match(message);
    }
  });

  it('refuses what is no desk, and a format that it does not know', () => {
    expect(firstProblem([])).to.match(/^format: is missing/);
    expect(firstProblem({ ...json(), format: FORMAT + 1 })).to.match(/newer than/);
  });
});

describe('upgrading', () => {
  it('has a step from every older format, each of which is tested here', () => {
    expect(Object.keys(steps).map(Number)).to.deep.equal(
      Array.from({ length: FORMAT }, (_, format) => format),
    );
  });

  it('brings format 0, with one screen and absolute positions, to the present one', () => {
    const { screens: _screens, edges, widgets, ...rest } = json();
    const old = {
      ...rest,
      format: 0,
      screen: { width: 1280, height: 720 },
      edges: edges.map(({ screen: _screen, ...edge }: { screen: string }) => edge),
      widgets: widgets.slice(0, 2).map(({ place: _place, ...widget }: { place: object }, index: number) => ({
        ...widget,
        x: 40 + index,
        y: 60,
      })),
    };
    const result = readDesk(old);
    if (!result.ok) throw new Error(result.problems.map(problemText).join('; '));
    expect(result.value.format).to.equal(FORMAT);
    expect(result.value.screens).to.deep.equal([
      { id: 'screen', name: 'Screen', scaleFactor: 1, x: 0, y: 0, width: 1280, height: 720 },
    ]);
    expect(result.value.widgets[1]?.place).to.deep.equal({
      hangs: { from: 'screen', screen: 'screen', point: 'top-left' },
      x: 41,
      y: 60,
    });
    expect(result.value.edges.every(({ screen }) => screen === 'screen')).to.equal(true);
  });
});

describe('the JSON Schema in docs/', () => {
  it('is that of the code', () => {
    const written = JSON.parse(readFileSync(new URL('../../docs/desk.schema.json', import.meta.url), 'utf8'));
    expect(written, 'run: npm run schema').to.deep.equal(JSON.parse(JSON.stringify(deskJsonSchema())));
  });
});
