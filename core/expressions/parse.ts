import { parse, plan } from '@bufbuild/cel';
import { ExprSchema, type Expr, type SourceInfo } from '@bufbuild/cel-spec/cel/expr/syntax_pb.js';
import { create } from '@bufbuild/protobuf';
import { roots } from './catalogue.ts';
import { environment, Told, TURN } from './functions.ts';
import { MOST_EXPRESSION } from './text.ts';

/** Something wrong with an expression, and where it stands in it. */
export interface Mistake {
  sentence: string;
  start: number;
  end: number;
}

/** An expression that can be worked out. */
export interface Planned {
  work: ReturnType<typeof plan>;
  /** Where each of its parts stands. */
  at: SourceInfo['positions'];
}

const MOST_NODES = 250;
const MOST_DEPTH = 40;

/** What no expression can be: `in` its sentence, at `id` where that is a part of it. */
class Wrong extends Told {
  constructor(
    sentence: string,
    readonly id?: bigint,
  ) {
    super(sentence);
  }
}

/** Reads an expression, so that it can be worked out again and again. */
export function readExpression(source: string): Planned | Mistake {
  const all = { start: 0, end: source.length };
  if (source.trim() === '') return { sentence: 'There is nothing between the braces', ...all };
  if (source.length > MOST_EXPRESSION)
    return { sentence: `An expression may have ${MOST_EXPRESSION} signs`, ...all };
  if (depthOf(source) > MOST_DEPTH) return { sentence: 'This is too deep', ...all };
  let at: SourceInfo['positions'] = {};
  try {
    const { expr, sourceInfo } = parse(source);
    at = sourceInfo?.positions ?? {};
    if (!expr) return { sentence: 'This can’t be read', ...all };
    bound(expr, new Set(roots));
    return { work: plan(environment, expr), at };
  } catch (error) {
    if (error instanceof Wrong)
      return placed(error.message, error.id === undefined ? null : positionOf(at, error.id), source);
    return unreadable(error, source);
  }
}

/** How deep brackets stand within one another. */
function depthOf(source: string): number {
  let depth = 0;
  let deepest = 0;
  for (const sign of source) {
    if ('([{'.includes(sign)) deepest = Math.max(deepest, ++depth);
    else if (')]}'.includes(sign)) depth--;
  }
  return deepest;
}

/** Where a part stands, by its id; null where nobody knows. Positions have whole numbers as keys. */
export function positionOf(at: SourceInfo['positions'], id: bigint): number | null {
  return new Map(Object.entries(at)).get(String(id)) ?? null;
}

/** A mistake at a place: the word that stands there, or all of the expression. */
export function placed(sentence: string, at: number | null, source: string): Mistake {
  if (at === null) return { sentence, start: 0, end: source.length };
  const word = /^[\w]+/.exec(source.slice(at))?.[0] ?? '';
  const start = Math.min(at, Math.max(0, source.length - 1));
  return { sentence, start, end: Math.max(at + word.length, start + 1) };
}

/** What a text can't be read for; the parser says where. */
function unreadable(error: unknown, source: string): Mistake {
  const { location } = error as { location?: { start?: { offset?: number } } };
  const offset = location?.start?.offset ?? 0;
  const rest = source.slice(offset).trimStart();
  // The parser stops before what it can't go on with: behind a sign at the end, something is missing.
  if (rest === '' || /^[-+*/%<>=!&|?:.,([{]+\s*$/.test(rest))
    return {
      sentence: 'Something is missing at the end',
      start: Math.max(0, source.length - 1),
      end: source.length,
    };
  const there = /^(\w+|\S)/.exec(rest)?.[0] ?? rest;
  const start = source.length - rest.length;
  return { sentence: `“${there.slice(0, 40)}” is not expected here`, start, end: start + there.length };
}

/** Walks all of an expression: refuses what is too large and names that nobody knows, and has turns of lists counted. */
function bound(expr: Expr, names: ReadonlySet<string>): void {
  let nodes = 0;
  const known = new Set([...environment.funcs].map(({ name }) => name));

  function walk(node: Expr | undefined, scope: ReadonlySet<string>): number {
    if (!node) return 0;
    if (++nodes > MOST_NODES) throw new Wrong('This is too long or too deep');
    const before = nodes;
    const { case: kind, value } = node.exprKind;
    switch (kind) {
      case 'identExpr':
        if (!scope.has(value.name) && !types.has(value.name))
          throw new Wrong(`“${value.name.slice(0, 40)}” is not known`, node.id);
        break;
      case 'selectExpr':
        walk(value.operand, scope);
        break;
      case 'callExpr':
        if (!known.has(value.function) && !inBuilt.has(value.function))
          throw new Wrong(`“${value.function.slice(0, 40)}” is not known`, node.id);
        walk(value.target, scope);
        for (const arg of value.args) walk(arg, scope);
        break;
      case 'listExpr':
        for (const one of value.elements) walk(one, scope);
        break;
      case 'structExpr':
        if (value.messageName !== '') throw new Wrong('Nothing is made by its name here', node.id);
        for (const { keyKind, value: held } of value.entries) {
          if (keyKind.case === 'mapKey') {
            if (isFraction(keyKind.value))
              throw new Wrong('A key is a text, a whole number, or true or false', keyKind.value.id);
            walk(keyKind.value, scope);
          }
          walk(held, scope);
        }
        break;
      case 'comprehensionExpr': {
        walk(value.iterRange, scope);
        walk(value.accuInit, scope);
        const inner = new Set([...scope, value.iterVar, value.accuVar]);
        const turn = walk(value.loopStep, inner) + walk(value.loopCondition, inner);
        walk(value.result, inner);
        if (value.loopCondition) value.loopCondition = counted(value.loopCondition, turn);
      }
    }
    return nodes - before + 1;
  }
  walk(expr, names);
}

/** Names of types, which `type(…)` is compared with. */
const types = new Set(['int', 'uint', 'double', 'bool', 'string', 'list', 'map', 'null_type', 'type']);
/** What is worked out without a function of its own. */
const inBuilt = new Set(['_[_]', '_?_:_', '_&&_', '_||_', '@not_strictly_false']);

const isFraction = ({ exprKind }: Expr) =>
  exprKind.case === 'constExpr' && exprKind.value.constantKind.case === 'doubleValue';

/** A condition for another turn that pays for it, by as many steps as the turn has parts. */
function counted(condition: Expr, steps: number): Expr {
  return create(ExprSchema, {
    id: condition.id,
    exprKind: {
      case: 'callExpr',
      value: {
        function: TURN,
        args: [
          condition,
          {
            id: condition.id,
            exprKind: {
              case: 'constExpr',
              value: { constantKind: { case: 'int64Value', value: BigInt(steps) } },
            },
          },
        ],
      },
    },
  });
}
