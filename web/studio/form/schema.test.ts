import { expect } from 'chai';
import { EdgeFrame } from '../../../core/arrange/schema.ts';
import { Adjust, Change, Gradient, Rotation } from '../../../core/backdrop/schema.ts';
import { WidgetFrame } from '../../../core/desk/shapes/widgets.ts';
import { deskJsonSchema } from '../../../core/desk/schema.ts';
import { Icons } from '../../../core/icons/schema.ts';
import { itemKinds } from '../../../core/items/list.ts';
import { Look } from '../../../core/look/schema.ts';
import { Pointer } from '../../../core/pointer/schema.ts';
import { FontUse } from '../../../core/text/schema.ts';
import { Finish } from '../../../core/values/finish.ts';
import { widgetKinds } from '../../../core/widgets/list.ts';
import { choicesBeside, controlOf, fieldsOf, innerOf, sentenceFor, variantOf } from './schema.ts';

const named = (schema: Parameters<typeof fieldsOf>[0]) => new Map(fieldsOf(schema));

/** The shape of a rotation's change that has times. */
function changeOptions() {
  const [, times] = Change.options;
  return times;
}

describe('forms', () => {
  it('take ranges and choices from the schema that the document is held to', () => {
    expect(named(EdgeFrame).get('thickness')).to.deep.include({ min: 16, max: 240, isWhole: false });
    expect(named(WidgetFrame).get('scale')).to.deep.include({ min: 0.1, max: 10 });
    const span = widgetKinds[1].options.shape.span;
    expect(named(widgetKinds[1].options).get('span')).to.deep.include({
      schema: span,
      min: 1,
      max: 1440,
      isWhole: true,
    });
    expect(named(Finish).get('kind')?.choices).to.deep.equal([
      { value: 'bare', label: 'Bare' },
      { value: 'matte', label: 'Matte' },
      { value: 'sheer', label: 'Sheer' },
      { value: 'frosted', label: 'Frosted' },
    ]);
  });

  it('refuse what the schema refuses, with a sentence', () => {
    const offset = named(WidgetFrame).get('scale');
    expect(offset && sentenceFor(offset, 1)).to.equal(null);
    const zone = named(widgetKinds[0].options).get('zone');
    expect(zone && sentenceFor(zone, 'Marrow/Point')).to.match(
      /^Not taken: “Marrow\/Point” is not a time zone/,
    );
  });

  it('go into what a field holds: groups, one of several shapes, lists of records', () => {
    const inner = (schema: Parameters<typeof fieldsOf>[0], key: string) => {
      const shape = named(schema).get(key);
      if (!shape) throw new Error(`no field ${key}`);
      return innerOf(shape);
    };
    expect(inner(Adjust, 'tint').kind).to.equal('group');
    expect(inner(Gradient, 'points')).to.deep.include({ kind: 'list', least: 2, most: 12 });
    const change = inner(Rotation, 'change');
    if (change.kind !== 'variant') throw new Error('not of several shapes');
    const keys = (value: Record<string, unknown>) => {
      const found = variantOf(change.by, change.options, value);
      return found && fieldsOf(found).map(([key]) => key);
    };
    expect(keys({ by: 'every', minutes: 5 })).to.deep.equal(['minutes']);
    expect(keys({ by: 'sun' })).to.deep.equal([]);
    expect(keys({ by: 'toString' })).to.equal(null);
  });

  it('start every shape of a value as something that the document takes', () => {
    for (const schema of [Look, Rotation]) {
      for (const [key, shape] of fieldsOf(schema)) {
        const inner = innerOf(shape);
        if (inner.kind !== 'variant' || shape.facts.control) continue;
        const variants = Object.entries(shape.facts.variants ?? {});
        expect(variants, key).to.have.length(inner.options.length);
        for (const [value, { start }] of variants)
          expect(shape.schema.safeParse({ [inner.by]: value, ...start }).success, value).to.equal(true);
      }
    }
  });

  it('name the entry of a list that is refused', () => {
    const times = named(changeOptions()).get('times');
    expect(times && sentenceFor(times, ['06:00', '26:00'])).to.equal(
      'Not taken: “26:00” is not a time of day, such as 07:30.',
    );
  });

  it('leave out choices that there are not beside the other values', () => {
    const [, style] = fieldsOf(Icons).find(([key]) => key === 'style') ?? [];
    if (!style) throw new Error('no style');
    const beside = (set: string) => choicesBeside(style, { set }).map(({ value }) => value);
    expect(beside('reed')).to.deep.equal(['line']);
    expect(beside('slate')).to.deep.equal(['line', 'filled']);
    expect(beside('constructor')).to.deep.equal([]);
    expect(style.facts.when?.({ set: 'reed' }, null)).to.equal(false);
  });

  it('switch what can be a word on, and off to something that the document takes', () => {
    for (const [key, shape] of fieldsOf(Icons)) {
      const { instead } = shape.facts;
      if (!instead) continue;
      expect(shape.schema.safeParse(instead.word).success, key).to.equal(true);
      expect(shape.schema.safeParse(instead.off).success, key).to.equal(true);
    }
  });

  it('have a control for every field, and choose it by the value unless told otherwise', () => {
    const control = (schema: Parameters<typeof fieldsOf>[0], key: string) => {
      const shape = named(schema).get(key);
      return shape && controlOf(shape);
    };
    expect(control(widgetKinds[1].options, 'network')).to.equal('switch');
    expect(control(widgetKinds[1].options, 'span')).to.equal('figure');
    expect(control(widgetKinds[1].options, 'from')).to.equal('choice');
    expect(control(Finish, 'tint')).to.equal('colour');
  });

  it('say of every option of every kind what it is called', () => {
    for (const { type, options } of [...itemKinds, ...widgetKinds]) {
      const shown = fieldsOf(options).map(([key]) => key);
      expect(shown, type).to.have.members(Object.keys(options.shape));
      for (const [, { facts }] of fieldsOf(options)) expect(facts.label, type).to.match(/^[A-Z]/);
    }
  });

  it('show fields only where they have an effect', () => {
    const shown = (values: object) =>
      fieldsOf(Finish)
        .filter(([, { facts }]) => facts.when?.(values as Record<string, unknown>, null) ?? true)
        .map(([key]) => key);
    expect(shown({ kind: 'bare' })).to.deep.equal(['kind', 'shadow']);
    expect(shown({ kind: 'matte' })).to.not.include('opacity');
    expect(shown({ kind: 'frosted' })).to.include.members(['opacity', 'blur']);
  });

  it('leave no word of theirs in the published schema', () => {
    const text = JSON.stringify(deskJsonSchema());
    for (const schema of [EdgeFrame, Finish, Adjust, Gradient, Pointer, FontUse])
      expect(fieldsOf(schema).length).to.be.greaterThan(1);
    expect(text).not.to.match(/"(control|choices|placeholder|isWide|decimals)"/);
    expect(text).not.to.contain('Graph over');
  });
});
