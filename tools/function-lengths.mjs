// How long the named functions are: 95 % under 40 lines, none over 100. Prints the longest, and fails past either line.
// node tools/function-lengths.mjs [how many to list]
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const FOLDERS = ['core', 'server', 'web', 'cli', 'demo', 'bench', 'tools'];
const USUAL = 40;
const USUAL_SHARE = 0.95;
const MOST = 100;

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.(tsx?|mjs)$/.test(entry.name) && !/\.(test|d)\.tsx?$/.test(entry.name) ? [path] : [];
  });
}

/** The name by which a function is known: its own, or that of the constant, field or property that holds it. */
function nameOf(node) {
  if (node.name) return node.name.getText();
  let holder = node.parent;
  // A component in memo() or later() is known by what holds the call.
  while (ts.isCallExpression(holder) || ts.isParenthesizedExpression(holder) || ts.isAsExpression(holder))
    holder = holder.parent;
  return ts.isVariableDeclaration(holder) || ts.isPropertyAssignment(holder) ? holder.name.getText() : null;
}

function functionsOf(path) {
  const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  const found = [];
  const lineAt = (position) => file.getLineAndCharacterOfPosition(position).line;
  (function walk(node) {
    if (ts.isFunctionLike(node) && node.body) {
      const name = nameOf(node);
      if (name) found.push({ path, name, lines: lineAt(node.end) - lineAt(node.getStart()) + 1 });
    }
    ts.forEachChild(node, walk);
  })(file);
  return found;
}

const found = FOLDERS.flatMap(sources).flatMap(functionsOf);
found.sort((a, b) => b.lines - a.lines);
const usual = found.filter(({ lines }) => lines < USUAL).length / found.length;
const tooLong = found.filter(({ lines }) => lines > MOST);
const shown = Math.max(tooLong.length, Number(process.argv[2] ?? 0));
for (const { path, name, lines } of found.slice(0, shown)) console.log(`${lines}\t${name}\t${path}`);
console.log(
  `${found.length} functions, ${(usual * 100).toFixed(1)} % under ${USUAL} lines, ${tooLong.length} over ${MOST}`,
);
if (usual < USUAL_SHARE || tooLong.length > 0) process.exitCode = 1;
