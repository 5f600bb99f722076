import { lookUp } from '../values/look-up.ts';
import { capital } from '../values/words.ts';

/** The freedesktop icon names that every set draws. */
export const iconNames = [
  'application-x-executable',
  'view-app-grid',
  'system-search',
  'x-office-document',
  'x-office-calendar',
  'x-office-address-book',
  'x-office-spreadsheet',
  'applications-maps',
  'applications-science',
  'applications-games',
  'applications-graphics',
  'applications-multimedia',
  'applications-internet',
  'applications-system',
  'applications-utilities',
  'audio-x-generic',
  'video-x-generic',
  'image-x-generic',
  'text-x-generic',
  'internet-mail',
  'web-browser',
  'camera-photo',
  'system-file-manager',
  'folder',
  'user-home',
  'user-trash',
  'utilities-terminal',
  'accessories-calculator',
  'accessories-text-editor',
  'office-calendar',
  'help-browser',
  'multimedia-player',
  'network-idle',
  'network-transmit-receive',
  'network-offline',
  'speedometer-low',
  'speedometer-middle',
  'speedometer-high',
  'weather-clear',
  'weather-clear-night',
  'weather-few-clouds',
  'weather-showers',
  'weather-few-clouds-night',
  'weather-overcast',
  'weather-fog',
  'weather-showers-scattered',
  'weather-snow',
  'weather-storm',
  'battery',
  'audio-volume-high',
  'printer',
  'computer',
  'drive-harddisk',
  'system-lock-screen',
  'system-suspend',
  'system-reboot',
  'system-log-out',
] as const;
export type IconName = (typeof iconNames)[number];

/** What is drawn by strokes of our own where a set from outside has nothing for it: buttons of windows and of players, the menu's mark. */
const strokeNames = [
  'start-here',
  'window-minimize',
  'window-maximize',
  'window-close',
  'media-skip-backward',
  'media-skip-forward',
  'media-playback-start',
  'media-playback-pause',
] as const;

/** Everything that a set can draw. */
export const signNames = [...iconNames, ...strokeNames] as const;
export type SignName = (typeof signNames)[number];

const FALLBACK: IconName = 'application-x-executable';

/** First words of names in the freedesktop specification, and what stands for anything else that begins with them. */
const families: Record<string, IconName> = {
  accessories: 'applications-utilities',
  applications: FALLBACK,
  audio: 'audio-x-generic',
  battery: 'battery',
  camera: 'camera-photo',
  drive: 'drive-harddisk',
  folder: 'folder',
  help: 'help-browser',
  image: 'image-x-generic',
  mail: 'internet-mail',
  multimedia: 'multimedia-player',
  network: 'network-idle',
  office: 'x-office-document',
  preferences: 'applications-system',
  printer: 'printer',
  system: 'applications-system',
  text: 'text-x-generic',
  user: 'user-home',
  utilities: 'applications-utilities',
  video: 'video-x-generic',
  weather: 'weather-few-clouds',
};

const known: ReadonlySet<string> = new Set(iconNames);

/**
 * The name that a set draws for any freedesktop icon name: itself, or the more general one that is left when words are
 * taken from its end (as the Icon Naming Specification has it), or its family's, or a window.
 */
export function drawnName(name: string): IconName {
  for (
    let words = name
      .toLowerCase()
      .replace(/-symbolic$/, '')
      .split('-');
    words.length > 0;
    words = words.slice(0, -1)
  ) {
    const shorter = words.join('-');
    if (known.has(shorter)) return shorter as IconName;
  }
  return lookUp(families, name.toLowerCase().split('-')[0] ?? '') ?? FALLBACK;
}

const signs: ReadonlySet<string> = new Set(signNames);

/** The sign that stands for any icon name: itself, or what is drawn for it. */
export function signOf(name: string): SignName {
  return signs.has(name) ? (name as SignName) : drawnName(name);
}

/** What signs are called where the words of their names are not a person's. */
const titles: Partial<Record<SignName, string>> = {
  'application-x-executable': 'Any application',
  'view-app-grid': 'All applications',
  'system-search': 'Search',
  'x-office-document': 'Document',
  'x-office-calendar': 'Calendar',
  'x-office-address-book': 'Address book',
  'x-office-spreadsheet': 'Spreadsheet',
  'audio-x-generic': 'Sound',
  'video-x-generic': 'Video',
  'image-x-generic': 'Picture',
  'text-x-generic': 'Text',
  'internet-mail': 'Mail',
  'camera-photo': 'Camera',
  'system-file-manager': 'Files',
  'user-home': 'Home',
  'user-trash': 'Trash',
  'utilities-terminal': 'Terminal',
  'accessories-calculator': 'Calculator',
  'accessories-text-editor': 'Text editor',
  'office-calendar': 'Calendar sheet',
  'help-browser': 'Help',
  'network-idle': 'Network',
  'network-transmit-receive': 'Network, busy',
  'network-offline': 'Network, off',
  'speedometer-low': 'Processor, low',
  'speedometer-middle': 'Processor, middle',
  'speedometer-high': 'Processor, high',
  'audio-volume-high': 'Volume',
  'drive-harddisk': 'Disk',
  'system-lock-screen': 'Lock the screen',
  'system-suspend': 'Sleep',
  'system-reboot': 'Restart',
  'system-log-out': 'Log out',
  'start-here': 'Menu button',
  'window-minimize': 'Minimise a window',
  'window-maximize': 'Fill with a window',
  'window-close': 'Close a window',
  'media-skip-backward': 'Piece before',
  'media-skip-forward': 'Next piece',
  'media-playback-start': 'Play',
  'media-playback-pause': 'Pause',
};

/** What a person calls a sign. */
export const titleOfSign = (name: SignName): string => titles[name] ?? capital(name.replaceAll('-', ' '));
