import {
  create,
  addDependencies,
  divideDependencies,
  createUnitDependencies,
  formatDependencies,
  modDependencies,
  multiplyDependencies,
  parseDependencies,
  powDependencies,
  subtractDependencies,
  toDependencies,
  unaryMinusDependencies,
  unaryPlusDependencies,
  sqrtDependencies,
  cbrtDependencies,
  absDependencies,
  roundDependencies,
  floorDependencies,
  ceilDependencies,
  sinDependencies,
  cosDependencies,
  tanDependencies,
  asinDependencies,
  acosDependencies,
  atanDependencies,
  logDependencies,
  log10Dependencies,
  expDependencies,
  minDependencies,
  maxDependencies,
  unitDependencies,
  piDependencies,
  eDependencies,
  tauDependencies,
  type MathNode,
} from 'mathjs';

/** Sums as people type them, with units: `12 ft in m`, `3 * 4.5`, `sqrt(2)`. Only what is listed here is worked out. */

const needed = {
  addDependencies,
  subtractDependencies,
  multiplyDependencies,
  divideDependencies,
  modDependencies,
  powDependencies,
  toDependencies,
  unaryMinusDependencies,
  unaryPlusDependencies,
  sqrtDependencies,
  cbrtDependencies,
  absDependencies,
  roundDependencies,
  floorDependencies,
  ceilDependencies,
  sinDependencies,
  cosDependencies,
  tanDependencies,
  asinDependencies,
  acosDependencies,
  atanDependencies,
  logDependencies,
  log10Dependencies,
  expDependencies,
  minDependencies,
  maxDependencies,
  unitDependencies,
  piDependencies,
  eDependencies,
  tauDependencies,
  parseDependencies,
  formatDependencies,
  createUnitDependencies,
};

// Its types have each of them as one that may be missing.
const math = create(
  Object.fromEntries(Object.entries(needed).flatMap(([name, made]) => (made ? [[name, made]] : []))),
);

// Of the sea: by the International Bureau of Weights and Measures' table of other units.
math.createUnit('nmi', { definition: '1852 m', aliases: ['nauticalmile', 'nauticalmiles'] });
math.createUnit('knot', { definition: '0.5144444444444445 m/s', aliases: ['knots', 'kn'] });

math.createUnit('mph', { definition: '0.44704 m/s' });
math.createUnit('inHg', { definition: '3386.389 Pa', aliases: ['inhg'] });

/** What people write otherwise than the library reads it: words, and what they stand for. */
const readings: readonly (readonly [RegExp, string])[] = [
  // The same word is a function, with a bracket behind it.
  [/\bmins?\b(?!\s*\()/g, 'minute'],
  [/\b([kMGTP]i?)bits?\b/g, '$1b'],
  [/\bkmh\b|\bkph\b/g, 'km/h'],
  [/(\d)\s{0,9}(?:%|percent) of\b/g, '$1/100 *'],
];

const functions = new Set(
  'sqrt cbrt abs round floor ceil sin cos tan asin acos atan log log10 exp min max'.split(' '),
);
const operators = new Set('add subtract multiply divide mod pow to unaryMinus unaryPlus'.split(' '));
const constants = new Set(['pi', 'e', 'tau']);

/** Letters and parts of a sum that are looked at. */
const MOST_LETTERS = 120;
const MOST_NODES = 60;
const DIGITS = 10;

/** What a text comes to; null where it is no sum, or one that says nothing new. */
export function sumOf(text: string): string | null {
  const typed = text.trim();
  if (typed === '' || typed.length > MOST_LETTERS || !/[\d(]|pi|tau/.test(typed)) return null;
  try {
    const tree = math.parse(readings.reduce((said, [word, meant]) => said.replace(word, meant), typed));
    if (!isHarmless(tree) || isPlain(tree)) return null;
    const value: unknown = tree.evaluate();
    if (!isSaid(value)) return null;
    const shown = typeof value === 'number' ? value : inOwnUnits(value as Unit);
    return math.format(shown, { precision: DIGITS }).replace(' / ', '/');
  } catch {
    return null;
  }
}

/**
 * A measure in the units that were typed, each kind of them once: km by h are km/h, m by cm are m^2. The library would
 * choose a unit of its own, and another one after others were typed.
 */
function inOwnUnits(value: Unit): Unit {
  if (value.units.length < 2) return withoutChoice(value);
  const powers = new Map<string, { name: string; power: number }>();
  for (const { unit, prefix, power } of value.units) {
    const kind = unit.base.key;
    const found = powers.get(kind);
    powers.set(kind, { name: found?.name ?? prefix.name + unit.name, power: (found?.power ?? 0) + power });
  }
  const side = (sign: 1 | -1) =>
    [...powers.values()]
      .filter(({ power }) => power * sign > 0)
      .map(({ name, power }) => (power * sign === 1 ? name : `${name}^${power * sign}`));
  const [above, below] = [side(1), side(-1)];
  const target = `${above.join(' ')}${below.length > 0 ? ` / (${below.join(' ')})` : ''}`;
  if (above.length === 0) return withoutChoice(value);
  return withoutChoice(value.to(target));
}

function withoutChoice(value: Unit): Unit {
  value.skipAutomaticSimplification = true;
  return value;
}

/** A measure of the library's, as far as it is looked into. */
interface Unit {
  units: readonly {
    unit: { name: string; base: { key: string } };
    prefix: { name: string };
    power: number;
  }[];
  skipAutomaticSimplification: boolean;
  to(unit: string): Unit;
}

/** Numbers and units joined by what is listed: nothing that is given a name, runs on its own, or makes long lists. */
function isHarmless(tree: MathNode): boolean {
  let count = 0;
  let isFine = true;
  tree.traverse((node, path) => {
    count++;
    isFine &&= count <= MOST_NODES && isListed(node, path);
  });
  return isFine;
}

/** What a node may say of itself, whichever it is. */
interface Told {
  type: string;
  value?: unknown;
  /** Of an operator its name, of a call the node of what is called. */
  fn?: unknown;
  args?: MathNode[];
  name?: string;
  implicit?: boolean;
}
const isOf = (node: MathNode): Told => node;
const nameIn = (fn: unknown) =>
  typeof fn === 'object' && fn !== null && 'name' in fn ? String(fn.name) : '';

function isListed(node: MathNode, path: string): boolean {
  switch (node.type) {
    case 'ConstantNode':
      return typeof isOf(node).value === 'number';
    case 'ParenthesisNode':
      return true;
    case 'OperatorNode':
      return operators.has(String(isOf(node).fn));
    case 'FunctionNode':
      return functions.has(nameIn(isOf(node).fn));
    case 'SymbolNode': {
      const { name = '' } = isOf(node);
      return path === 'fn' ? functions.has(name) : constants.has(name) || math.Unit.isValuelessUnit(name);
    }
    default:
      return false;
  }
}

/** A number by itself, or with its unit: there is nothing to work out. `2 pi` is something. */
function isPlain(tree: MathNode, isInside = false): boolean {
  const { type, args, name = '', implicit } = isOf(tree);
  if (type === 'ConstantNode') return true;
  if (type === 'SymbolNode') return !isInside || !constants.has(name) || name === 'e';
  return type === 'OperatorNode' && implicit === true && (args ?? []).every((arg) => isPlain(arg, true));
}

function isSaid(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  return math.typeOf(value) === 'Unit';
}
