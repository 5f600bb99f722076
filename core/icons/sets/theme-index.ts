import { readGroups } from '../../values/key-file.ts';
import { SET_LIMITS } from './index-file.ts';

/** A folder of an icon theme, and the sizes its icons are for, in px of the screen (Icon Theme Specification 0.13). */
interface ThemeFolder {
  path: string;
  least: number;
  most: number;
}

export interface ThemeIndex {
  name: string;
  /** Names of the folders of themes that it builds upon, the nearest first. */
  inherits: string[];
  folders: ThemeFolder[];
}

/** Every theme builds upon this one in the end. */
const LAST = 'hicolor';
const MOST_FOLDERS = 1000;
/** What a folder is good for around its size, where it doesn't say. */
const THRESHOLD = 2;

/** What an `index.theme` says; null where it is no icon theme's. */
export function readThemeIndex(text: string): ThemeIndex | null {
  const groups = readGroups(text, () => undefined);
  const theme = groups.get('Icon Theme');
  if (!theme) return null;
  const listed = (key: string) =>
    (theme.get(key)?.value ?? '')
      .split(',')
      .map((one) => one.trim())
      .filter((one) => one !== '');
  const folders = [...listed('Directories'), ...listed('ScaledDirectories')].slice(0, MOST_FOLDERS);
  return {
    name: (theme.get('Name')?.value ?? '').trim().slice(0, SET_LIMITS.name),
    inherits: listed('Inherits')
      .filter((one) => one !== LAST)
      .slice(0, 20),
    folders: folders.flatMap((path) => {
      const said = groups.get(path);
      const whole = (key: string): number | null => {
        const figure = Number(said?.get(key)?.value);
        return Number.isInteger(figure) && figure > 0 && figure <= SET_LIMITS.size ? figure : null;
      };
      const size = whole('Size');
      if (!said || size === null) return [];
      const scale = Math.min(whole('Scale') ?? 1, 8);
      const [least, most] = rangeOf(said.get('Type')?.value ?? 'Threshold', size, whole);
      const px = (figure: number) => Math.min(Math.max(1, figure * scale), SET_LIMITS.size);
      return [{ path: path.replace(/^\.?\/+|\/+$/g, ''), least: px(least), most: px(Math.max(least, most)) }];
    }),
  };
}

function rangeOf(type: string, size: number, whole: (key: string) => number | null): [number, number] {
  switch (type) {
    case 'Fixed':
      return [size, size];
    case 'Scalable':
      return [whole('MinSize') ?? size, whole('MaxSize') ?? size];
    default: {
      const around = whole('Threshold') ?? THRESHOLD;
      return [size - around, size + around];
    }
  }
}
