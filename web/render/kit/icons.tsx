import { Suspense, createContext, useContext, type FC } from 'react';
import type { IconSetName, IconStyle } from '../../../core/icons/schema.ts';
import { isOwn } from '../../../core/values/family.ts';
import { drawnName, type IconName } from '../../../core/icons/names.ts';
import type { Scene } from '../../../core/scene/scene.ts';
import { ownIconAddress } from '../../api/addresses.ts';
import { later } from '../../later.ts';
import { Quiet } from './quiet-card.tsx';
import { lookUp } from '../../../core/values/look-up.ts';

export interface IconDrawing {
  name: IconName;
  size: number;
  style: IconStyle;
}

/** A set of its own file each: only the one that a desk uses is fetched. */
const loaders: Record<IconSetName, () => Promise<{ default: FC<IconDrawing> }>> = {
  reed: () => import('../icon-sets/reed.tsx'),
  slate: () => import('../icon-sets/slate.tsx'),
  shell: () => import('../icon-sets/shell.tsx'),
};

const loaded = new Map<IconSetName, FC<IconDrawing>>();

/** Fetches a set, so that its icons are there at once when they are drawn. */
export async function loadIconSet(set: IconSetName): Promise<void> {
  if (!loaded.has(set)) loaded.set(set, (await loaders[set]()).default);
}

/** For a set that nobody has fetched beforehand. */
const whenFetched: Record<IconSetName, FC<IconDrawing>> = {
  reed: later(loaders.reed),
  slate: later(loaders.slate),
  shell: later(loaders.shell),
};

export const IconSet = createContext<Scene['icons']>({
  set: 'reed',
  style: 'line',
  tile: 'none',
  tiles: {},
});

/** An icon by its freedesktop name, or one of one's own, from the desk's set. */
export function DeskIcon({ name, size }: { name: string; size: number }) {
  const { set, style } = useContext(IconSet);
  if (name === 'start-here') return <LedgeMark size={size} />;
  if (isOwn(name)) {
    return <img src={ownIconAddress(name)} alt="" width={size} height={size} draggable={false} />;
  }
  const Ready = loaded.get(set);
  const icon = drawnName(name);
  if (Ready) return <Ready name={icon} size={size} style={style} />;
  const Drawn = whenFetched[set];
  return (
    <Suspense fallback={<span className="block" style={{ width: size, height: size }} />}>
      <Drawn name={icon} size={size} style={style} />
    </Suspense>
  );
}

/** How much of a tile its icon fills. */
const ON_TILE = 0.6;

const clips: Partial<Record<Scene['icons']['tile'], string>> = {
  hexagon: 'polygon(50% 0, 93.3% 25%, 93.3% 75%, 50% 100%, 6.7% 75%, 6.7% 25%)',
};
const radii: Partial<Record<Scene['icons']['tile'], string>> = { circle: '50%', rounded: '26%', square: '0' };

/** The icon of an application, on the desk's tile when it has one. */
export function ApplicationIcon(props: { application: string; name: string; size: number }) {
  const { name, size } = props;
  return (
    <Quiet
      of={name}
      instead={() => (
        <span
          data-quiet
          className="block shrink-0 rounded-[26%] opacity-40"
          style={{ width: size, height: size, background: 'currentColor' }}
        />
      )}
    >
      <TiledIcon {...props} />
    </Quiet>
  );
}

function TiledIcon({ application, name, size }: { application: string; name: string; size: number }) {
  const { tile, tiles } = useContext(IconSet);
  const colours = lookUp(tiles, application);
  if (tile === 'none' || !colours) return <DeskIcon name={name} size={size} />;
  return (
    <span
      className="grid shrink-0 place-items-center"
      data-tile={tile}
      style={{
        width: size,
        height: size,
        background: colours.tile,
        color: colours.onTile,
        borderRadius: radii[tile],
        clipPath: clips[tile],
      }}
    >
      <DeskIcon name={name} size={Math.round(size * ON_TILE)} />
    </span>
  );
}

/** The project's own mark: a sun on a ledge. */
export function LedgeMark({ size }: { size: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 32 32"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.6"
      strokeLinecap="round"
      aria-hidden
    >
      <path d="M8 19a8 8 0 0 1 16 0" />
      <path d="M4.5 23.5h23" />
    </svg>
  );
}
