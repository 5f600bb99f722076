import { mkdir, readFile } from 'node:fs/promises';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openBundle, type Carried, type FileKind } from '../../core/bundle/bundle.ts';
import { sourcesOf } from '../../core/backdrop/schema.ts';
import type { Problem } from '../../core/desk/problem.ts';
import { digestOf } from '../files/digest.ts';
import { inspectIconPack } from '../icons/pack.ts';
import { inspectFont } from '../fonts/inspect.ts';
import { inspectSound } from '../sounds/inspect.ts';
import { takePicture, type TakenPicture } from '../pictures/take.ts';

/** What came in a bundle: the desk, and the files it uses, each written aside and found to be sound. */
export type TakenBundle =
  | ({
      ok: true;
      pictures: { path: string; name: string; picture: TakenPicture }[];
      fonts: { path: string; id: string }[];
      sounds: { path: string; id: string }[];
      iconSets: { path: string; id: string }[];
    } & Carried)
  | { ok: false; problems: Problem[] };

/** Takes a bundle apart into a folder. Every picture is decoded and every font and sound read, as if each came by itself. */
export async function takeBundle({ path, folder }: { path: string; folder: string }): Promise<TakenBundle> {
  await mkdir(folder, { recursive: true });
  const found: { kind: FileKind; id: string; path: string }[] = [];
  const carried = openBundle(await readFile(path), digestOf, (kind, { id, bytes }) => {
    const file = { kind, id, path: join(folder, `${kind}-${id}`) };
    writeFileSync(file.path, bytes);
    found.push(file);
  });
  if (!carried.ok) return carried;
  const names = new Map(
    carried.value.desk.backdrops
      .flatMap(sourcesOf)
      .flatMap((source) => (source.kind === 'picture' ? [[source.picture, source.name] as const] : [])),
  );
  const taken: TakenBundle & { ok: true } = {
    ok: true,
    ...carried.value,
    pictures: [],
    fonts: [],
    sounds: [],
    iconSets: [],
  };
  for (const file of found) {
    const out = `${file.path}-taken`;
    const no = (reason: string): TakenBundle => ({
      ok: false,
      problems: [{ path: `${file.kind}s/${file.id.slice(0, 8)}…`, message: reason }],
    });
    if (file.kind === 'font') {
      const font = await inspectFont({ path: file.path, out });
      if (!font.ok) return no(`as a font, ${font.reason}`);
      taken.fonts.push({ path: out, id: font.id });
      continue;
    }
    if (file.kind === 'sound') {
      const sound = await inspectSound({ path: file.path, out, cover: `${out}-cover` });
      if (!sound.ok) return no(`as a sound, ${sound.reason}`);
      taken.sounds.push({ path: out, id: sound.id });
      continue;
    }
    if (file.kind === 'icon-set') {
      const set = await inspectIconPack({ path: file.path });
      if (!set.ok) return no(`as a set of icons, ${set.reason}`);
      taken.iconSets.push({ path: file.path, id: set.id });
      continue;
    }
    const picture = await takePicture({ path: file.path, out, asIs: true });
    if (!picture.ok) return no(picture.reason);
    taken.pictures.push({ path: out, name: names.get(file.id) ?? 'picture', picture: picture.picture });
  }
  return taken;
}
