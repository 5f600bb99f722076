import { createHash } from 'node:crypto';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import sharp from 'sharp';
import type { Drawn } from '../core/backdrop/drawn.ts';
import { TONES_WIDTH, isDark, unpackTones, type Tones } from '../core/backdrop/tones.ts';
import { readBundle, type Bundle } from '../core/bundle/bundle.ts';
import { extractPalette } from '../core/colour/extract.ts';
import { drawRoles } from '../core/colour/scheme.ts';
import { problemText, refuse, type Result } from '../core/desk/problem.ts';
import { readDesk } from '../core/desk/read.ts';
import type { Desk } from '../core/desk/desk.ts';
import { backdropsOf, decidingBackdrop, nearerOf } from '../core/scene/backdrop.ts';
import type { AllConditions } from '../core/scene/conditions.ts';
import { solve } from '../core/scene/solve.ts';
import { learnDesk } from '../core/scene/learn.ts';
import { formatMoment } from '../core/sources/time/time.ts';
import { bake } from '../server/pictures/bake.ts';
import { shownSize } from '../server/pictures/render.ts';
import { mapTones } from '../server/pictures/tones.ts';
import { KitRefusal, kindsFrom, takeKit, wearKit } from './kits.ts';

/** Exit codes, for scripts. */
export const EXIT = { fine: 0, refused: 1, usage: 2, unreadable: 3 } as const;

export interface Output {
  out(text: string): void;
  err(text: string): void;
}

const USAGE = `Usage:
  npm run ledge -- check FILE                              is a .ledge file or a desk.json sound?
  npm run ledge -- solve FILE [--screen WxH] [--at TIME]   where everything is, on a screen, at a moment
  npm run ledge -- palette PICTURE                         the picture's colours, and the roles drawn from them
  npm run ledge -- kit take FILE --out KIT [--name NAME]   a desk's dress as a .ledgekit file, for other desks
  npm run ledge -- kit wear KIT --on FILE --out NEW        a desk in a kit, or in the dress of another desk
Add --kinds palette,type,icons… for some kinds of a kit only.
Add --json for output that programs read.
Exit codes: 0 fine, 1 refused, 2 wrong call, 3 the file can't be read.`;

class Stop extends Error {
  constructor(
    readonly code: number,
    message: string,
  ) {
    super(message);
  }
}

/** Runs one call and gives back the exit code. */
export async function main(
  args: readonly string[],
  output: Output,
  now: () => number = Date.now,
): Promise<number> {
  try {
    const { values, positionals } = parse(args);
    const [command, ...more] =
      positionals[0] === 'kit' ? [`kit ${positionals[1] ?? ''}`, ...positionals.slice(2)] : positionals;
    const [file, ...rest] = more;
    const work = commands.get(command ?? '');
    if (!work || !file || rest.length > 0) throw new Stop(EXIT.usage, USAGE);
    const answer = await work(file, values, now);
    output.out(values.json ? JSON.stringify(answer.json, null, 2) : answer.text);
    return answer.code ?? EXIT.fine;
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    output.err(error.message);
    return error.code;
  }
}

interface Values {
  json?: boolean;
  screen?: string;
  at?: string;
  out?: string;
  on?: string;
  name?: string;
  kinds?: string;
}

interface Answer {
  text: string;
  json: unknown;
  code?: number;
}

function parse(args: readonly string[]): { values: Values; positionals: string[] } {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        json: { type: 'boolean' },
        screen: { type: 'string' },
        at: { type: 'string' },
        out: { type: 'string' },
        on: { type: 'string' },
        name: { type: 'string' },
        kinds: { type: 'string' },
      },
    });
  } catch (error) {
    throw new Stop(EXIT.usage, `${(error as Error).message}\n${USAGE}`);
  }
}

const commands = new Map<string, (file: string, values: Values, now: () => number) => Promise<Answer>>([
  ['check', check],
  ['solve', solveFile],
  ['palette', palette],
  ['kit take', kitTake],
  ['kit wear', kitWear],
]);

async function read(file: string): Promise<Buffer> {
  try {
    return await readFile(file);
  } catch (error) {
    throw new Stop(
      EXIT.unreadable,
      `${file} can't be read (${(error as NodeJS.ErrnoException).code ?? 'unknown reason'}).`,
    );
  }
}

/** A bundle, or the bare JSON of a desk. */
async function readDeskFile(file: string): Promise<Result<Desk>> {
  const bundle = await readFileOfDesk(file);
  return bundle.ok ? { ok: true, value: bundle.value.desk } : bundle;
}

/** The same with its pictures; the bare JSON of a desk has none. */
async function readFileOfDesk(file: string): Promise<Result<Bundle>> {
  const bytes = await read(file);
  if (bytes[0] === 0x50 || !file.endsWith('.json')) {
    return readBundle(new Uint8Array(bytes), (file) => createHash('sha256').update(file).digest('hex'));
  }
  try {
    const desk = readDesk(JSON.parse(bytes.toString('utf8')));
    return desk.ok
      ? { ok: true, value: { desk: desk.value, pictures: [], fonts: [], sounds: [], iconSets: [] } }
      : desk;
  } catch {
    return refuse('', 'is not JSON');
  }
}

async function check(file: string): Promise<Answer> {
  const desk = await readDeskFile(file);
  if (!desk.ok) {
    return {
      code: EXIT.refused,
      json: { ok: false, problems: desk.problems },
      text: desk.problems.map((problem) => `${file}: ${problemText(problem)}`).join('\n'),
    };
  }
  const { name, screens, edges, widgets } = desk.value;
  const text = `${file}: sound. ${name}: ${screens.length} screens, ${edges.length} edges, ${widgets.length} widgets.`;
  return {
    text,
    json: { ok: true, name, screens: screens.length, edges: edges.length, widgets: widgets.length },
  };
}

/** A bundle that is sound; stops where it is not. */
async function soundFile(file: string): Promise<Bundle> {
  const read = await readFileOfDesk(file);
  if (read.ok) return read.value;
  throw new Stop(EXIT.refused, read.problems.map((problem) => `${file}: ${problemText(problem)}`).join('\n'));
}

async function kitTake(file: string, { out, name, kinds }: Values): Promise<Answer> {
  if (!out) throw new Stop(EXIT.usage, USAGE);
  const kit = await refusing(async () => takeKit(await soundFile(file), kindsFrom(kinds), out, name));
  return {
    text: `${out}: ${kit.name}, a kit of ${kit.kinds.join(', ')}.`,
    json: { ok: true, name: kit.name, kinds: kit.kinds },
  };
}

async function kitWear(file: string, { on, out, kinds }: Values): Promise<Answer> {
  if (!on || !out) throw new Stop(EXIT.usage, USAGE);
  const worn = await refusing(async () => {
    const [kit, desk] = [await soundFile(file), await soundFile(on)];
    return wearKit(kit, desk, kindsFrom(kinds), out);
  });
  return { text: `${out}: wears ${worn.join(', ')} of ${file}.`, json: { ok: true, kinds: worn } };
}

async function refusing<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw error instanceof KitRefusal ? new Stop(EXIT.refused, error.message) : error;
  }
}

async function solveFile(file: string, { screen, at }: Values, now: () => number): Promise<Answer> {
  const { desk: read, pictures } = await soundFile(file);
  const desk = sized(read, screen);
  const moment = at === undefined ? now() : Date.parse(at);
  if (Number.isNaN(moment))
    throw new Stop(EXIT.usage, `--at ${at}: not a moment, such as 2026-11-24T07:12:00Z.`);
  await learnDesk(desk);
  const scene = solve(desk, { moment, ...(await seeBehind(desk, pictures, moment)) });
  const lines = scene.screens.flatMap(({ name, rect, free, edges, widgets }) => [
    `${name}, ${rect.width} × ${rect.height}; free ${box(free)}`,
    ...edges.flatMap((edge) => [
      `  ${edge.kind} ${edge.id}: ${box(edge.rect)}`,
      ...edge.items.map((item) => `    ${item.type} ${item.id}: ${box(item.rect)}`),
    ]),
    ...widgets.map(
      (widget) =>
        `  ${widget.type} ${widget.id}: ${box(widget.rect)}, scale ${Math.round(widget.scale * 100) / 100}`,
    ),
  ]);
  const time = formatMoment(moment, desk.place.zone, 'EEE d MMM yyyy, HH:mm');
  return {
    text: [`${desk.name}, ${time} (${desk.place.zone})`, ...lines].join('\n'),
    json: scene,
  };
}

/** How dark and light it is behind each screen, from the same pictures that the server makes; none where a picture is missing. */
async function seeBehind(
  desk: Desk,
  pictures: Bundle['pictures'],
  moment: number,
): Promise<Pick<AllConditions, 'tones' | 'isDarkBehind'>> {
  const tones = new Map<string, Tones>();
  let isDarkBehind: boolean | null;
  const folder = await mkdtemp(join(tmpdir(), 'velvet-ledge-'));
  try {
    const decides = decidingBackdrop(desk, { moment });
    const decided = decides && (await tonesOfDrawn(decides, pictures, folder));
    isDarkBehind = decided && isDark(decided);
    for (const [screen, backdrop] of backdropsOf(desk, { moment, isDarkBehind })) {
      const known = await tonesOfDrawn(nearerOf(backdrop), pictures, folder);
      if (known) tones.set(screen, known);
    }
  } finally {
    await rm(folder, { recursive: true });
  }
  return { tones, isDarkBehind };
}

async function tonesOfDrawn(
  drawn: Drawn,
  pictures: Bundle['pictures'],
  folder: string,
): Promise<Tones | null> {
  const { source } = drawn;
  const picture = source.kind === 'picture' && pictures.find(({ id }) => id === source.picture);
  if (source.kind === 'picture' && !picture) return null;
  const path = picture ? join(folder, picture.id) : null;
  if (path && picture) await writeFile(path, picture.bytes);
  const size = shownSize(drawn, TONES_WIDTH);
  const made = await bake({ drawn, path, ...size, format: 'webp', isForShow: true });
  return unpackTones(await mapTones({ made, hasPalettes: true }));
}

/** The desk with its first screen at another size. */
function sized(desk: Desk, screen: string | undefined): Desk {
  if (screen === undefined) return desk;
  const [, width, height] = /^(\d{3,5})x(\d{3,5})$/.exec(screen)?.map(Number) ?? [];
  if (!width || !height) throw new Stop(EXIT.usage, `--screen ${screen}: not a size, such as 2560x1440.`);
  return {
    ...desk,
    screens: desk.screens.map((other, index) => (index === 0 ? { ...other, width, height } : other)),
  };
}

function box({ x, y, width, height }: { x: number; y: number; width: number; height: number }): string {
  const round = (value: number) => Math.round(value * 10) / 10;
  return `${round(x)}, ${round(y)}, ${round(width)} × ${round(height)}`;
}

async function palette(file: string): Promise<Answer> {
  const bytes = await read(file);
  let pixels: { data: Buffer; info: { width: number; height: number } };
  try {
    pixels = await sharp(bytes)
      .autoOrient()
      .toColourspace('srgb')
      .ensureAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
  } catch {
    throw new Stop(EXIT.refused, `${file}: is not a picture that can be read.`);
  }
  const swatches = extractPalette(
    { data: pixels.data, width: pixels.info.width, height: pixels.info.height },
    8,
  );
  const roles = drawRoles(swatches);
  const text = [
    ...swatches.map(({ colour, share }) => `${colour}  ${(share * 100).toFixed(1).padStart(5)} %`),
    '',
    ...Object.keys(roles.dark).map(
      (role) => `${role.padEnd(8)} dark ${roles.dark[role as 'ink']}  light ${roles.light[role as 'ink']}`,
    ),
  ].join('\n');
  return { text, json: { swatches, roles } };
}
