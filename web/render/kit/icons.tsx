import { Suspense, createContext, useContext, type FC, type ReactNode } from 'react';
import { ourIcons, type IconSetName, type IconStyle } from '../../../core/icons/schema.ts';
import { isOwn } from '../../../core/values/family.ts';
import { drawnName, signOf, type IconName, type SignName } from '../../../core/icons/names.ts';
import type { Scene, SceneIcons } from '../../../core/scene/scene.ts';
import { ownIconAddress, setIconAddress } from '../../api/addresses.ts';
import { InkFilter, InkedPicture, inkStyle, type Pictured } from './ink.tsx';
import { useOwnSet } from './own-sets.ts';
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

const IconSet = createContext<SceneIcons>({
  ...ourIcons({ set: 'reed', style: 'line', tile: 'none', tileColour: 'raised' }),
  ink: { way: 'plain' },
  tiles: {},
  words: {},
});

/** Draws what stands in it with these icons, in their colours. */
export function DeskIcons({ icons, children }: { icons: SceneIcons; children: ReactNode }) {
  return (
    <IconSet.Provider value={icons}>
      <InkFilter ink={icons.ink} />
      {children}
    </IconSet.Provider>
  );
}

interface Wanted {
  /** A freedesktop icon name, or one of one's own. */
  name: string;
  size: number;
  /** The application that it stands for. */
  application?: string;
}

/** An icon by its freedesktop name, or one of one's own, from the desk's set. */
export function DeskIcon({ name, size, application }: Wanted) {
  const icons = useContext(IconSet);
  const found = useOutside({ name, size, ...(application === undefined ? {} : { application }) });
  if (found) return <InkedPicture {...found} size={size} ink={icons.ink} />;
  if (name === 'start-here') return <LedgeMark size={size} />;
  return <OurIcon name={drawnName(name)} size={size} {...icons} />;
}

/** What is drawn by strokes of our own, unless the desk's set, or somebody, has an icon for it. */
export function SignIcon({ name, size, children }: { name: SignName; size: number; children: ReactNode }) {
  const { ink } = useContext(IconSet);
  const found = useOutside({ name, size });
  return found ? <InkedPicture {...found} size={size} ink={ink} /> : children;
}

/** The picture that is not ours of what is wanted: its own, one put in its place, or that of a set. */
function useOutside({ name, size, application }: Wanted): Pictured | null {
  const { own, byHand, words } = useContext(IconSet);
  const set = own ? own.set.slice('own:'.length) : null;
  const outside = useOwnSet(set);
  if (isOwn(name)) return { address: ownIconAddress(name), isOneColour: false };
  const sign = signOf(name);
  const mine = byHand.find((one) => one.name === sign);
  if (mine) return { address: ownIconAddress(mine.icon), isOneColour: false };
  if (!outside || !own || set === null) return null;
  const { index, finder } = outside;
  const known = finder.nameFor(name, (application !== undefined && lookUp(words, application)) || []);
  const style = Math.max(0, index.styles.indexOf(own.style));
  const icon = known === null ? null : finder.pictureOf(known, style, size * devicePixelRatio);
  if (!icon) return null;
  return {
    address: setIconAddress(set, icon.picture),
    isOneColour: index.pictures[icon.picture]?.isOneColour ?? false,
  };
}

function OurIcon({ name, size, set, style, ink }: { name: IconName; size: number } & SceneIcons) {
  const Ready = loaded.get(set);
  const Drawn = whenFetched[set];
  const drawn = Ready ? (
    <Ready name={name} size={size} style={style} />
  ) : (
    <Suspense fallback={<span className="block" style={{ width: size, height: size }} />}>
      <Drawn name={name} size={size} style={style} />
    </Suspense>
  );
  if (ink.way === 'plain') return drawn;
  return (
    <span className="block" data-ink={ink.way} style={inkStyle(ink, size)}>
      {drawn}
    </span>
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
  if (tile === 'none' || !colours) return <DeskIcon name={name} size={size} application={application} />;
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
      <DeskIcon name={name} size={Math.round(size * ON_TILE)} application={application} />
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
