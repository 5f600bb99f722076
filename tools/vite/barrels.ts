import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

/**
 * Packages that give out many things through one file: an import of a few of them is written as one of each from where
 * it stands, so that what comes at first doesn't have to bring what comes later.
 */
export function pastBarrels(root: string): Plugin {
  const folder = `${root}/node_modules`;
  const icons = iconsIn(`${folder}/lucide-react/dist/esm`);
  const parts = partsIn(`${folder}/radix-ui/dist/index.mjs`);
  return {
    name: 'past-barrels',
    enforce: 'pre',
    transform(code, id) {
      if (!id.startsWith(`${root}/web/`)) return null;
      const changed = code.replace(
        /^import \{([^}]*)\} from '(lucide-react|radix-ui)';/gm,
        (whole, names: string, from: string) =>
          names
            .split(',')
            .map((name) => name.trim())
            .filter((name) => name !== '')
            .map((name) => (from === 'radix-ui' ? partFrom(name, parts) : iconFrom(name, icons)))
            .reduce<string | null>((all, one) => (all === null || one === null ? null : `${all} ${one}`), '')
            ?.trim() ?? whole,
      );
      return changed === code ? null : { code: changed, map: null };
    },
  };
}

/** `Name`, `Name as Other` or `type Name`. */
const NAMED = /^(?:(\w+) as )?(\w+)$/;

function iconFrom(name: string, icons: ReadonlyMap<string, string>): string | null {
  // A type that stands in an import by itself would leave one of the whole behind.
  if (name.startsWith('type ')) return `import type { ${name.slice('type '.length)} } from 'lucide-react';`;
  const [, given, own = ''] = NAMED.exec(name) ?? [];
  const file = icons.get(given ?? own);
  return file ? `import ${own} from '${file}';` : null;
}

function partFrom(name: string, parts: ReadonlyMap<string, string>): string | null {
  const [, given, own = ''] = NAMED.exec(name) ?? [];
  const from = parts.get(given ?? own);
  return from ? `import * as ${own} from '${from}';` : null;
}

/** Files of icons by all their names. */
function iconsIn(folder: string): Map<string, string> {
  const barrel = readFileSync(`${folder}/lucide-react.mjs`, 'utf8');
  const found = new Map<string, string>();
  for (const [, names = '', file = ''] of barrel.matchAll(
    /^export \{([^}]*)\} from '\.\/(icons\/[\w-]+\.mjs)'/gm,
  ))
    for (const [, name = ''] of names.matchAll(/default as (\w+)/g)) found.set(name, `${folder}/${file}`);
  return found;
}

/** Packages of parts by their names. */
function partsIn(barrel: string): Map<string, string> {
  const imports = readFileSync(barrel, 'utf8').matchAll(/^import \* as (\w+) from "([^"]+)"/gm);
  return new Map([...imports].map(([, name = '', from = '']) => [name, from]));
}
