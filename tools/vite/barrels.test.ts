import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect } from 'chai';
import { pastBarrels } from './barrels.ts';

const root = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');

describe('imports from packages that give out everything through one file', () => {
  const { transform } = pastBarrels(root) as unknown as {
    transform(code: string, id: string): { code: string } | null;
  };
  const changed = (code: string) => transform(code, `${root}/web/some.tsx`)?.code ?? null;

  it('are led past it, each to where it stands, under the name that is used here', () => {
    const icons = changed("import { House, Trash2 as Away, type LucideIcon } from 'lucide-react';\nrest");
    const files = [...(icons?.matchAll(/import (\w+) from '([^']+)';/g) ?? [])];
    expect(files.map(([, name]) => name)).to.deep.equal(['House', 'Away']);
    for (const [, , file = ''] of files) expect(existsSync(file), file).to.equal(true);
    // A type by itself: nothing of the whole is left when types are taken out.
    expect(icons).to.contain("import type { LucideIcon } from 'lucide-react';").and.to.match(/rest$/);
    expect(changed("import { DropdownMenu } from 'radix-ui';")).to.equal(
      "import * as DropdownMenu from '@radix-ui/react-dropdown-menu';",
    );
    expect(changed("import {\n  Dialog,\n  Slider,\n} from 'radix-ui';")).to.equal(
      "import * as Dialog from '@radix-ui/react-dialog'; import * as Slider from '@radix-ui/react-slider';",
    );
  });

  it('stay as they are where something is not known there, and in files that are not ours', () => {
    expect(changed("import { House, NoSuchThing } from 'lucide-react';")).to.equal(null);
    expect(transform("import { House } from 'lucide-react';", `${root}/node_modules/x/y.js`)).to.equal(null);
  });
});
