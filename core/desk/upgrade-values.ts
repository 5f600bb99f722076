/**
 * What the steps between formats put where an older format had nothing. Frozen as it was when the step was written: what a
 * new desk begins with today may change, and an old desk must come out of a step as it always did.
 */

/** Nothing done to a backdrop, as format 2 began with. */
export const adjust2 = {
  blur: 0,
  brightness: 0,
  contrast: 0,
  saturation: 0,
  temperature: 0,
  twoTone: { dark: 'ground', light: 'ink', strength: 0 },
  tint: { colour: 'ground', strength: 0 },
  darken: { toward: 'rim', strength: 0 },
  grain: 0,
};

/** An item that answers no button of the pointer, as format 4 began with. */
export const presses4 = { left: 'own', middle: 'none', right: 'none', wheel: 'none' };

/** The menus that format 5 began with. */
export const menus5 = {
  appList: {
    shortcut: 'Ctrl+Alt+L',
    place: { by: 'button' },
    width: 380,
    rows: 10,
    columns: 1,
    iconSize: 30,
    labels: true,
    words: true,
    groups: 'none',
    favourites: [],
    recent: 0,
    search: true,
    searchesWords: true,
    finish: null,
  },
  appWall: {
    shortcut: 'Ctrl+Alt+W',
    way: 'scroll',
    columns: 6,
    iconSize: 56,
    labels: true,
    groups: 'categories',
    search: true,
    searchesWords: true,
    folders: [],
    finish: null,
  },
  quickFind: {
    shortcut: 'Ctrl+Space',
    place: { point: 'top', x: 0, y: 160 },
    width: 680,
    answers: 6,
    iconSize: 26,
    labels: true,
    applications: true,
    commands: true,
    readings: true,
    sums: true,
    finish: null,
  },
  deskMenu: {
    shortcut: '',
    width: 320,
    iconSize: 22,
    icons: true,
    title: true,
    entries: [
      { id: 'menu-wall', by: 'act', act: 'app-wall' },
      { id: 'menu-find', by: 'act', act: 'quick-find' },
      { id: 'menu-line', by: 'line' },
      { id: 'menu-half', by: 'act', act: 'half' },
      { id: 'menu-arrange', by: 'act', act: 'arrange' },
    ],
    finish: null,
  },
  categories: [],
};

/** The units that format 6 began with. */
export const units6 = { temperature: 'c', wind: 'kmh', pressure: 'hpa', hours: '24', week: 'monday' };

/** The tide of Marrow Point, as format 6 began with. */
export const tide6 = {
  mean: 3.2,
  constituents: [
    { name: 'M2', amplitude: 1.58, phase: 104 },
    { name: 'S2', amplitude: 0.54, phase: 146 },
    { name: 'N2', amplitude: 0.31, phase: 81 },
    { name: 'K2', amplitude: 0.15, phase: 144 },
    { name: 'K1', amplitude: 0.12, phase: 232 },
    { name: 'O1', amplitude: 0.14, phase: 80 },
    { name: 'M4', amplitude: 0.06, phase: 200 },
  ],
};

/** What format 6 began to read from outside. */
export const outside6 = {
  report: { by: 'address', address: 'stand-in:station', every: 10 },
  calendars: [{ id: 'observatory', title: 'Marrow Point', colour: 'accent', from: { by: 'observatory' } }],
  headlines: [{ id: 'bulletins', title: 'Bulletins', from: { by: 'observatory' } }],
};

/** What format 7 began to play. */
export const sound7 = {
  tracks: [
    {
      id: 'surf',
      title: 'Surf on the bar',
      by: 'The sound room',
      album: 'Marsh recordings',
      seconds: 52,
      from: { by: 'piece', piece: 'surf' },
      cover: null,
    },
    {
      id: 'calls',
      title: 'Curlews over the creek',
      by: 'The sound room',
      album: 'Marsh recordings',
      seconds: 44,
      from: { by: 'piece', piece: 'calls' },
      cover: null,
    },
    {
      id: 'bells',
      title: 'Bells of the outer buoys',
      by: 'The sound room',
      album: 'Marsh recordings',
      seconds: 60,
      from: { by: 'piece', piece: 'bells' },
      cover: null,
    },
    {
      id: 'reeds',
      title: 'Reeds before rain',
      by: 'The sound room',
      album: 'Marsh recordings',
      seconds: 48,
      from: { by: 'piece', piece: 'reeds' },
      cover: null,
    },
    {
      id: 'geese',
      title: 'Geese at last light',
      by: 'The sound room',
      album: 'Marsh recordings',
      seconds: 40,
      from: { by: 'piece', piece: 'geese' },
      cover: null,
    },
    {
      id: 'lamp',
      title: 'The lamp room, humming',
      by: 'The sound room',
      album: 'Marsh recordings',
      seconds: 56,
      from: { by: 'piece', piece: 'lamp' },
      cover: null,
    },
  ],
  order: 'list',
  repeat: 'all',
  coversColour: false,
};

/** The windows that format 8 began with. */
export const windows8 = {
  title: { shown: 'always', height: 44, size: 20, font: 'display', align: 'left', back: 'veil' },
  lines: {
    line: 2,
    reach: 8,
    front: 'accent',
    behind: 'softInk',
    glow: true,
    border: 0,
    borderFront: 'accent',
    borderBehind: 'raised',
  },
  buttons: {
    list: [{ does: 'minimise' }, { does: 'fill' }, { does: 'close' }],
    side: 'right',
    shape: 'strokes',
    size: 13,
    spacing: 12,
    weight: 2,
  },
  behind: { dims: 55, seeThrough: 0, shade: 10 },
  finish: null,
  gaps: { outer: 16, inner: 16, catches: true, snap: 12 },
  moves: {
    opens: { way: 'scale', ms: 160 },
    minimises: { way: 'fly', ms: 220 },
    fills: { way: 'scale', ms: 160 },
    closes: { way: 'fade', ms: 120 },
  },
  habits: [],
  workspaces: { arranged: 'row', columns: 3, corner: 'none' },
  icons: {
    shown: 'none',
    applications: [],
    size: 48,
    labels: true,
    from: 'top-left',
    flow: 'columns',
    spacing: 12,
  },
  shortcuts: [
    { act: 'overview', shortcut: 'Ctrl+Alt+O' },
    { act: 'clear-view', shortcut: 'Ctrl+Alt+D' },
    { act: 'next-window', shortcut: 'Ctrl+Alt+N' },
    { act: 'front-fill', shortcut: 'Ctrl+Alt+F' },
    { act: 'front-minimise', shortcut: 'Ctrl+Alt+M' },
    { act: 'front-close', shortcut: 'Ctrl+Alt+X' },
    { act: 'front-left', shortcut: 'Ctrl+Alt+Shift+ArrowLeft' },
    { act: 'front-right', shortcut: 'Ctrl+Alt+Shift+ArrowRight' },
    { act: 'front-top', shortcut: 'Ctrl+Alt+Shift+ArrowUp' },
    { act: 'front-bottom', shortcut: 'Ctrl+Alt+Shift+ArrowDown' },
    { act: 'tile-columns', shortcut: 'Ctrl+Alt+1' },
    { act: 'tile-halves', shortcut: 'Ctrl+Alt+2' },
    { act: 'tile-grid', shortcut: 'Ctrl+Alt+3' },
    { act: 'tile-stack', shortcut: 'Ctrl+Alt+4' },
    { act: 'previous-workspace', shortcut: 'Ctrl+Alt+ArrowLeft' },
    { act: 'next-workspace', shortcut: 'Ctrl+Alt+ArrowRight' },
    { act: 'carry-before', shortcut: 'Ctrl+Alt+ArrowUp' },
    { act: 'carry-on', shortcut: 'Ctrl+Alt+ArrowDown' },
    { act: 'carry-screen', shortcut: 'Ctrl+Alt+Shift+S' },
    { act: 'front-move', shortcut: 'Ctrl+Alt+G' },
    { act: 'front-size', shortcut: 'Ctrl+Alt+S' },
    { act: 'front-menus', shortcut: 'Ctrl+Alt+U' },
  ],
};

/** A dock's line and marks, as all were before format 14. */
export const dock14 = {
  line: { kind: 'whole', width: 3, colour: 'accent', glow: true },
  mark: { shape: 'stud', colour: 'accent' },
};

/** Icons of a desk that has none of its own. */
export const icons15 = { own: null, ink: { way: 'plain' }, dark: null, byHand: [] };
