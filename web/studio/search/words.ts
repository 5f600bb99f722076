/**
 * What the trade and everyday language call things, in groups of words that mean the same here; British and American. A
 * query is also looked for by the other words of its group. Words that forms and commands use stand first.
 */
const groups: readonly (readonly string[])[] = [
  ['backdrop', 'wallpaper', 'background', 'desktop picture', 'desktop background', 'background image'],
  ['backdrop', 'slideshow', 'rotation', 'rotate wallpaper', 'change wallpaper'],
  ['opacity', 'transparency', 'translucency', 'see through', 'alpha', 'transparent'],
  ['opacity', 'window opacity', 'window transparency', 'inactive opacity'],
  ['corner radius', 'rounded corners', 'radius', 'round corners', 'corners', 'rounding', 'border radius'],
  ['outline', 'edge line', 'stroke', 'border of a panel', 'hairline'],
  ['shadow', 'drop shadow', 'elevation', 'shade'],
  ['blur', 'frosted glass', 'glass', 'acrylic', 'background blur'],
  ['look: finish', 'surface style', 'panel style', 'glass effect', 'material'],
  ['look: pointer', 'cursor', 'mouse pointer', 'mouse cursor', 'cursor theme'],
  ['look: icons', 'icon pack', 'icon theme', 'icon set', 'app icons'],
  ['look: type', 'font', 'fonts', 'typeface', 'typography', 'font family'],
  ['weight', 'bold', 'boldness', 'font weight'],
  ['letter spacing', 'tracking', 'kerning'],
  ['palette', 'colors', 'colours', 'color scheme', 'colour scheme', 'theme colors', 'theme colours'],
  [
    'automatic',
    'colors from wallpaper',
    'colours from wallpaper',
    'wallpaper colors',
    'adaptive colors',
    'dynamic colors',
    'auto theme',
  ],
  ['accent', 'accent color', 'accent colour', 'highlight color', 'highlight colour', 'primary color'],
  ['alert', 'warning color', 'warning colour', 'urgent', 'error color'],
  ['ink', 'text color', 'text colour', 'font color', 'font colour', 'foreground'],
  ['light and dark', 'dark mode', 'light mode', 'night mode', 'dark theme', 'light theme', 'appearance'],
  ['temperature', 'night light', 'warmth', 'blue light', 'color temperature', 'colour temperature'],
  ['palette: out and in', 'import colors', 'export colors', 'import palette', 'color file', 'export theme'],
  ['palette: other eyes', 'color blind', 'colour blind', 'color blindness', 'colour blindness'],
  ['palette: terminal', 'terminal colors', 'terminal colours', 'ansi colors', 'console colors'],
  ['look: legibility', 'contrast', 'readability', 'accessibility', 'wcag', 'readable'],
  ['look: findings', 'problems', 'check', 'review', 'issues', 'lint', 'warnings'],
  ['add panel', 'taskbar', 'bar', 'menu bar', 'status bar', 'top bar', 'new panel'],
  ['add dock', 'launcher', 'app launcher', 'icon bar', 'new dock'],
  ['visibility', 'auto hide', 'autohide', 'auto-hide', 'hide panel', 'hide dock', 'slip away'],
  [
    'reserves space',
    'reserve space',
    'keeps windows off',
    'reserved space',
    'strut',
    'overlap windows',
    'always on top',
  ],
  ['floating distance', 'margin', 'off the side', 'float', 'floating', 'offset from edge', 'detached'],
  ['padding', 'inner margin', 'inset'],
  ['spacing', 'item spacing', 'between items', 'icon spacing', 'gap between icons'],
  ['thickness', 'panel height', 'panel size', 'dock size', 'bar height', 'panel width'],
  ['grows to', 'growth', 'magnification', 'magnify', 'zoom on hover', 'hover zoom', 'icon zoom', 'enlarge'],
  ['tooltips', 'tooltip', 'labels on hover', 'hover text'],
  ['alignment', 'panel alignment', 'justify', 'dock position'],
  ['side', 'panel position', 'screen edge', 'bottom of the screen', 'top of the screen'],
  ['add gap', 'spacer', 'space', 'blank', 'empty space'],
  ['add spring', 'flexible spacer', 'flexible space', 'stretch', 'expander', 'push apart'],
  ['add divider', 'separator', 'divider line', 'dividing line'],
  ['add tray', 'system tray', 'notification area', 'status icons', 'systray', 'indicators'],
  ['add spectrum', 'visualizer', 'visualiser', 'equalizer', 'equaliser', 'audio visualizer', 'music bars'],
  [
    'add machine',
    'system monitor',
    'cpu',
    'ram',
    'memory usage',
    'cpu meter',
    'resource monitor',
    'hardware monitor',
  ],
  ['add player', 'now playing', 'media player', 'music player', 'media controls', 'album art'],
  ['add weather', 'forecast', 'weather widget', 'temperature outside'],
  ['add clock', 'time widget', 'analog clock', 'analogue clock', 'digital clock', 'watch'],
  ['add calendar', 'agenda', 'month view', 'appointments', 'schedule', 'events'],
  ['add note', 'sticky note', 'to do', 'todo', 'to-do list', 'task list', 'checklist', 'memo'],
  ['add picture', 'photo frame', 'image widget', 'photo', 'gif'],
  ['add shape', 'rectangle', 'circle', 'line shape', 'decoration', 'frame around'],
  ['add tiles', 'shortcuts grid', 'launch tiles', 'grid of icons', 'speed dial'],
  ['add readout', 'custom text', 'text widget', 'script output', 'formula', 'composed text'],
  ['add battery', 'power', 'charge', 'battery level'],
  ['add headlines', 'news', 'feed reader', 'ticker'],
  ['widgets: headlines', 'rss', 'atom feed', 'news feed', 'feeds'],
  ['widgets: calendars', 'ics', 'ical', 'caldav', 'calendar subscription'],
  ['widgets: weather station', 'metar', 'airport weather', 'real weather'],
  ['widgets: units', 'celsius', 'fahrenheit', 'metric', 'imperial', '24 hour', '12 hour', 'am pm'],
  ['widgets: sound', 'music', 'audio', 'playlist', 'songs', 'mp3'],
  ['scale', 'resize widget', 'widget size', 'bigger', 'smaller', 'zoom widget'],
  ['locked', 'lock position', 'pin in place', 'lock widget', 'fix in place'],
  ['passes clicks on', 'clickthrough', 'clicks through', 'ignore mouse'],
  ['time zone', 'timezone', 'world clock', 'utc offset'],
  ['seconds', 'show seconds', 'second hand'],
  ['windows: title', 'title bar', 'titlebar', 'window title', 'caption'],
  [
    'windows: buttons',
    'title buttons',
    'window buttons',
    'close button',
    'minimize button',
    'minimise button',
  ],
  ['windows: line and border', 'window border', 'window frame', 'decorations', 'window decorations'],
  ['windows: not in front', 'inactive windows', 'dim inactive', 'unfocused windows', 'background windows'],
  ['windows: tiling', 'tiling', 'snap windows', 'snap layouts', 'window snapping', 'split screen'],
  ['outer gap', 'outer gaps', 'screen gaps'],
  ['inner gap', 'inner gaps', 'window gaps', 'gaps', 'gap between windows'],
  ['windows: moves', 'animations', 'animation', 'transitions', 'effects', 'window effects'],
  ['windows: habits', 'rules', 'app rules', 'application rules'],
  ['windows: workspaces', 'virtual desktops', 'workspace', 'desktops', 'spaces'],
  ['windows: shortcuts', 'hotkeys', 'keyboard shortcuts', 'keybindings', 'key bindings', 'keys'],
  ['windows: desktop icons', 'icons on the desktop', 'desktop shortcuts'],
  ['menus: app list', 'application menu', 'app menu', 'program list', 'main menu'],
  ['menus: app wall', 'app grid', 'all apps', 'full screen launcher', 'application grid'],
  ['menus: quick find', 'search box', 'run dialog', 'command palette', 'find apps', 'app search'],
  ['menus: desk menu', 'right click menu', 'context menu', 'right-click menu', 'desktop menu'],
  ['menus: applications', 'add an app', 'app entries', 'desktop entries', 'programs'],
  ['menus: categories', 'app categories', 'app groups', 'application categories'],
  ['overview corner', 'hot corner', 'hot corners', 'screen corner', 'active corner'],
  ['overview of all workspaces', 'task view', 'window overview', 'expose windows', 'all windows'],
  ['add session', 'lock screen', 'log out', 'logout', 'shut down', 'shutdown', 'sign out', 'restart'],
  ['place on earth and time zone', 'location', 'city', 'latitude', 'longitude', 'coordinates'],
  ['screens', 'monitors', 'displays', 'multi monitor', 'second screen', 'resolution', 'dual monitor'],
  ['backdrop: adjust', 'brightness and contrast', 'image adjustments', 'filters', 'photo editing'],
  ['saturation', 'vividness', 'color intensity', 'colour intensity', 'grayscale', 'greyscale'],
  ['darkening', 'vignette', 'dim wallpaper', 'darken', 'dim background'],
  ['two tones', 'duotone', 'duo tone', 'monochrome'],
  ['tint', 'color overlay', 'colour overlay', 'overlay', 'colorize', 'colourise'],
  ['grain', 'noise', 'film grain', 'texture'],
  ['backdrop: bake and export', 'save wallpaper', 'export wallpaper', 'export picture', 'download wallpaper'],
  ['save as a file (.ledge)', 'export', 'backup', 'share', 'export desk', 'save theme'],
  ['history of the desk', 'versions', 'revisions', 'restore', 'undo history', 'earlier versions'],
  ['make all follow the desk', 'reset colors', 'reset colours', 'reset styles', 'unify'],
  ['go live', 'full screen', 'fullscreen', 'present', 'use the desk'],
  ['interface in velvet', 'studio theme', 'dark interface', 'ui theme'],
];

const wordsIn = (text: string): string => (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).join(' ');

const known = new Map<string, string[]>();
for (const [first = '', ...others] of groups)
  for (const word of [first, ...others]) {
    const key = wordsIn(word);
    if (key !== wordsIn(first)) known.set(key, [...(known.get(key) ?? []), first]);
  }

/** What else a query may be called here, the best first; nothing for what has one name only. */
export function otherWords(query: string): readonly string[] {
  const asked = wordsIn(query);
  if (asked.length < LEAST) return [];
  const whole = known.get(asked);
  if (whole) return whole;
  const begun = [...known].filter(([word]) => word.startsWith(asked)).flatMap(([, names]) => names);
  if (begun.length > 0) return [...new Set(begun)];
  const near = [...known].filter(([word]) => isSlip(word, asked)).flatMap(([, names]) => names);
  return [...new Set(near)];
}
const LEAST = 3;

/** Whether two words are apart by one letter: left out, put in, another, or two that changed places. Short ones never are. */
export function isSlip(one: string, other: string): boolean {
  if (Math.abs(one.length - other.length) > 1 || Math.min(one.length, other.length) < 4) return false;
  let start = 0;
  while (start < one.length && one[start] === other[start]) start++;
  let [end, otherEnd] = [one.length - 1, other.length - 1];
  while (end >= start && otherEnd >= start && one[end] === other[otherEnd]) {
    end--;
    otherEnd--;
  }
  const [left, right] = [end - start + 1, otherEnd - start + 1];
  if (left <= 1 && right <= 1) return true;
  return left === 2 && right === 2 && one[start] === other[start + 1] && one[start + 1] === other[start];
}
