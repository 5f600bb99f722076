import { createHash } from 'node:crypto';
import { writeFile } from 'node:fs/promises';
import { produce } from 'immer';
import { nanoid } from 'nanoid';
import { allFilesOf, writeBundle, type Bundle } from '../core/bundle/bundle.ts';
import { wrongChange } from '../core/desk/gate.ts';
import { problemText } from '../core/desk/problem.ts';
import { edits } from '../core/desk/edits/edits.ts';
import { kitKindOf, kitKinds, type Kit } from '../core/desk/kits/kit.ts';
import { kitOf } from '../core/desk/kits/mannequin.ts';

/** Why a kit can't be taken or worn; a sentence for a person. */
export class KitRefusal extends Error {}

const digestOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/** The kinds of a list such as `palette,type`; all that are worn by themselves where nothing is said. Throws KitRefusal. */
export function kindsFrom(list: string | undefined): string[] {
  if (list === undefined) return kitKinds.filter(({ isAside }) => !isAside).map(({ key }) => key);
  const kinds = list.split(',').map((key) => key.trim());
  const unknown = kinds.find((key) => !kitKindOf(key));
  if (unknown !== undefined)
    throw new KitRefusal(`--kinds ${unknown}: none of ${kitKinds.map(({ key }) => key).join(', ')}`);
  return [...new Set(kinds)];
}

/** A desk's dress as a kit in a file of its own. */
export async function takeKit(
  bundle: Bundle,
  kinds: string[],
  out: string,
  name: string | undefined,
): Promise<Kit> {
  const { desk } = bundle;
  const kit = kitOf(desk, { id: nanoid(12), name: name ?? desk.name, version: 1, by: '', notes: '', kinds });
  const { desk: worn, ...facts } = kit;
  await writeFile(out, writeBundle({ ...filesFor(worn, [bundle]), desk: worn, kit: facts }, digestOf));
  return kit;
}

/** A desk in a kit, with the files of both. Any desk can stand for a kit. Throws KitRefusal. */
export async function wearKit(from: Bundle, on: Bundle, kinds: string[], out: string): Promise<string[]> {
  const { id, name } = from.kit ?? from.desk;
  const kit: Kit = { ...(from.kit ?? { id, name, version: 1, by: '', notes: '', kinds }), desk: from.desk };
  const worn = kinds.filter((key) => kit.kinds.includes(key));
  const desk = produce(on.desk, (draft) => edits.wearKit(kit, worn).apply(draft));
  const wrong = wrongChange(on.desk, desk);
  if (wrong) throw new KitRefusal(problemText(wrong));
  await writeFile(out, writeBundle({ ...filesFor(desk, [on, from]), desk }, digestOf));
  return worn;
}

/** Those of some bundles' files that a desk names. */
function filesFor(desk: Bundle['desk'], bundles: readonly Bundle[]): Omit<Bundle, 'desk' | 'kit'> {
  const named = new Set(allFilesOf(desk).map(({ id }) => id));
  const pick = (of: (bundle: Bundle) => Bundle['pictures']) => {
    const files = new Map(bundles.flatMap(of).map((file) => [file.id, file]));
    return [...files.values()].filter(({ id }) => named.has(id));
  };
  return {
    pictures: pick(({ pictures }) => pictures),
    fonts: pick(({ fonts }) => fonts),
    sounds: pick(({ sounds }) => sounds),
    iconSets: pick(({ iconSets }) => iconSets),
  };
}
