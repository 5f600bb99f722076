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
  type FactoryFunctionMap,
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

const math = create(needed as unknown as FactoryFunctionMap);

// Of the sea: by the International Bureau of Weights and Measures' table of other units.
math.createUnit('nmi', { definition: '1852 m', aliases: ['nauticalmile', 'nauticalmiles'] });
math.createUnit('knot', { definition: '0.5144444444444445 m/s', aliases: ['knots', 'kn'] });

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
    const tree = math.parse(typed);
    if (!isHarmless(tree) || isPlain(tree)) return null;
    const value: unknown = tree.evaluate();
    return isSaid(value) ? math.format(value, { precision: DIGITS }).replace(' / ', '/') : null;
  } catch {
    return null;
  }
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

function isListed(node: MathNode, path: string): boolean {
  switch (node.type) {
    case 'ConstantNode':
      return typeof (node as unknown as { value: unknown }).value === 'number';
    case 'ParenthesisNode':
      return true;
    case 'OperatorNode':
      return operators.has((node as unknown as { fn: string }).fn);
    case 'FunctionNode':
      return functions.has((node as unknown as { fn: { name?: string } }).fn.name ?? '');
    case 'SymbolNode': {
      const { name } = node as unknown as { name: string };
      return path === 'fn' ? functions.has(name) : constants.has(name) || math.Unit.isValuelessUnit(name);
    }
    default:
      return false;
  }
}

/** A number by itself, or with its unit: there is nothing to work out. */
function isPlain(tree: MathNode): boolean {
  const { type, args } = tree as unknown as { type: string; args?: MathNode[] };
  if (type === 'ConstantNode' || type === 'SymbolNode') return true;
  return (
    type === 'OperatorNode' &&
    (tree as unknown as { implicit: boolean }).implicit &&
    (args ?? []).every(isPlain)
  );
}

function isSaid(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  return math.typeOf(value) === 'Unit';
}
