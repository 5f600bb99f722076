import { Download, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { backdropFor, drawnOf, type Drawn } from '../../../../core/backdrop/drawn.ts';
import { paletteOf } from '../../../../core/colour/look.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { halves, type Half } from '../../../../core/values/roles.ts';
import { surfaceFor } from '../../../../core/scene/backdrop.ts';
import { bakeFormats, type BakeFormat } from '../../../../core/wire/wire.ts';
import { api } from '../../../api/client.ts';
import { useConditions } from '../../../session/conditions.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Row, Section } from '../../../ui/section.tsx';
import { Segmented, SwitchField } from '../../../ui/choice.tsx';
import { titleOfSource } from '../../../../core/backdrop/schema.ts';

interface Order {
  name: string;
  drawn: Drawn;
  width: number;
  height: number;
}

interface Wish {
  allScreens: boolean;
  bothHalves: boolean;
  allEntries: boolean;
}

/** Every picture that a wish comes to, with its name and its size in device pixels. */
function ordersFor(
  desk: Desk,
  wish: Wish,
  now: { screen: string; half: Half; moment: number; workspace: number; entry: Drawn },
): Order[] {
  const workspace = desk.workspaces[now.workspace]?.id ?? '';
  const screens = desk.screens.filter(({ id }) => wish.allScreens || id === now.screen);
  const wantedHalves = halves.filter((half) => wish.bothHalves || half === now.half);
  const orders = screens.flatMap((screen) =>
    wantedHalves.flatMap((half) => {
      const backdrop = backdropFor(desk.backdrops, { screen: screen.id, workspace, half });
      const surface = surfaceFor(screen, desk, backdrop.spans && backdrop.for.screen === null);
      const context = { palette: paletteOf(desk.look.roles[half]), place: desk.place, moment: now.moment };
      const { source } = backdrop;
      const all = source.kind === 'rotation' ? source.entries.map((entry) => entry.source) : [source];
      const drawn = all.map((plain) => ({ plain, drawn: drawnOf(plain, backdrop.adjust, surface, context) }));
      const current = JSON.stringify(now.entry);
      const chosen = wish.allEntries
        ? drawn
        : [drawn.find((one) => JSON.stringify(one.drawn) === current) ?? drawn[0]];
      return chosen.flatMap((one, index) =>
        one
          ? {
              name: [
                desk.name,
                screen.name,
                half,
                ...(chosen.length > 1 ? [index + 1, titleOfSource(one.plain)] : []),
              ]
                .join(' ')
                .replace(/[^\p{L}\p{N}]+/gu, '-')
                .toLowerCase(),
              drawn: one.drawn,
              width: Math.round(screen.width * screen.scaleFactor),
              height: Math.round(screen.height * screen.scaleFactor),
            }
          : [],
      );
    }),
  );
  return orders;
}

type Work =
  | { state: 'idle' }
  | { state: 'working'; done: number; of: number; stop: () => void }
  | { state: 'done'; count: number }
  | { state: 'failed'; sentence: string };

/** Bakes orders one after another, and hands over the files once all are there. */
function useBaking(): {
  work: Work;
  bake: (orders: readonly Order[], format: BakeFormat) => Promise<void>;
} {
  const [work, setWork] = useState<Work>({ state: 'idle' });
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);

  async function bake(orders: readonly Order[], format: BakeFormat) {
    const abort = new AbortController();
    stop.current = () => abort.abort();
    const files: { name: string; bytes: Uint8Array }[] = [];
    try {
      for (const [index, { name, drawn, width, height }] of orders.entries()) {
        setWork({ state: 'working', done: index, of: orders.length, stop: () => abort.abort() });
        const blob = await api.exportBackdrop(drawn, { width, height, format }, abort.signal);
        files.push({
          name: freeName(`${name}.${format === 'jpeg' ? 'jpg' : format}`, files),
          bytes: new Uint8Array(await blob.arrayBuffer()),
        });
      }
      await deliver(files, `${presentDesk()?.name ?? 'desk'} backdrops.zip`, format);
      setWork({ state: 'done', count: files.length });
    } catch (error) {
      setWork(
        abort.signal.aborted
          ? { state: 'idle' }
          : { state: 'failed', sentence: `${(error as Error).message} No file was written.` },
      );
    } finally {
      stop.current = null;
    }
  }
  return { work, bake };
}

/** Backdrops as files, in exactly the pixels of their screens. */
export function ExportPage() {
  const [format, setFormat] = useState<BakeFormat>('png');
  const [wish, setWish] = useState<Wish>({ allScreens: false, bothHalves: false, allEntries: false });
  const { work, bake } = useBaking();
  const desk = useDesk((state) => state.history?.present);
  const half = useHalf();
  const screen = useScreenInView();
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const workspace = useConditions((state) => state.workspace);
  if (!desk || !screen) return null;
  const now = { screen: screen.id, half, moment: minute, workspace, entry: screen.backdrop.drawn };
  const orders = ordersFor(desk, wish, now);
  const rotates = desk.backdrops.some(({ source }) => source.kind === 'rotation');
  const option = (label: string, key: keyof Wish) => (
    <SwitchField label={label} value={wish[key]} onChange={(isOn) => setWish({ ...wish, [key]: isOn })} />
  );
  return (
    <>
      <Section title="As">
        <div data-field="Format">
          <Segmented
            label="Format"
            value={format}
            choices={bakeFormats.map((name) => ({
              value: name,
              label: name === 'webp' ? 'WebP' : name.toUpperCase(),
            }))}
            onChange={setFormat}
          />
        </div>
        {desk.screens.length > 1 && option('All screens', 'allScreens')}
        {option('Both halves', 'bothHalves')}
        {rotates && option('Whole rotation', 'allEntries')}
      </Section>
      <Orders orders={orders} />
      <Baking work={work} onBake={() => void bake(orders, format)} />
    </>
  );
}

function Orders({ orders }: { orders: readonly Order[] }) {
  return (
    <Section title={orders.length === 1 ? 'One picture' : `${orders.length} pictures`} note="device pixels">
      <ul className="grid max-h-60 gap-1 overflow-y-auto text-[12px]">
        {orders.map(({ name, width, height }, index) => (
          <li key={index} className="flex justify-between gap-3">
            <span className="truncate">{name}</span>
            <span className="shrink-0 font-mono text-dust">
              {width} × {height}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

function Baking({ work, onBake }: { work: Work; onBake: () => void }) {
  return (
    <div className="mt-4 grid gap-2">
      {work.state === 'working' ? (
        <Row label={`${work.done + 1} of ${work.of}`}>
          <progress
            className="h-1.5 min-w-0 flex-1 accent-[var(--brass)]"
            aria-label="Baking"
            value={work.done}
            max={work.of}
          />
          <Button tone="quiet" onClick={work.stop}>
            <X size={14} /> Cancel
          </Button>
        </Row>
      ) : (
        <div>
          <Button tone="brass" onClick={onBake}>
            <Download size={15} /> Bake
          </Button>
        </div>
      )}
      {work.state === 'done' && (
        <p role="status" className="text-moss">
          {work.count === 1 ? 'One picture was' : `${work.count} pictures were`} baked and downloaded.
        </p>
      )}
      {work.state === 'failed' && (
        <p role="alert" className="text-rust">
          {work.sentence}
        </p>
      )}
    </div>
  );
}

function freeName(wanted: string, files: readonly { name: string }[]): string {
  let name = wanted;
  for (let number = 2; files.some((file) => file.name === name); number++)
    name = wanted.replace(/(\.\w+)$/, `-${number}$1`);
  return name;
}

/** One file as it is, several in an archive. */
async function deliver(
  files: readonly { name: string; bytes: Uint8Array }[],
  archive: string,
  format: BakeFormat,
): Promise<void> {
  const { saveBytes } = await import('../../pictures/download.ts');
  const [only] = files;
  if (files.length === 1 && only) {
    saveBytes(only.bytes, only.name, `image/${format}`);
    return;
  }
  const { zipSync } = await import('fflate');
  // Pictures are packed already.
  const packed = zipSync(Object.fromEntries(files.map(({ name, bytes }) => [name, bytes])), { level: 0 });
  saveBytes(packed, archive, 'application/zip');
}
