import { lookUp } from '../values/look-up.ts';
import type { IconName } from './names.ts';

/** What an application says of itself, as its .desktop file has it. */
export interface Said {
  Name: string;
  Comment?: string | undefined;
  Keywords?: readonly string[] | undefined;
  Categories?: readonly string[] | undefined;
}

/** Beginnings of words, and the sign that suits what they are about; the first that is met counts. */
const words: readonly (readonly [string, IconName])[] = [
  ['file', 'system-file-manager'],
  ['folder', 'system-file-manager'],
  ['terminal', 'utilities-terminal'],
  ['console', 'utilities-terminal'],
  ['command', 'utilities-terminal'],
  ['mail', 'internet-mail'],
  ['letter', 'internet-mail'],
  ['calendar', 'x-office-calendar'],
  ['almanac', 'x-office-calendar'],
  ['contact', 'x-office-address-book'],
  ['address', 'x-office-address-book'],
  ['camera', 'camera-photo'],
  ['photo', 'camera-photo'],
  ['calculat', 'accessories-calculator'],
  ['map', 'applications-maps'],
  ['chart', 'applications-maps'],
  ['browser', 'web-browser'],
  ['web', 'web-browser'],
  ['music', 'audio-x-generic'],
  ['sound', 'audio-x-generic'],
  ['listen', 'audio-x-generic'],
  ['video', 'video-x-generic'],
  ['film', 'video-x-generic'],
  ['picture', 'image-x-generic'],
  ['image', 'image-x-generic'],
  ['spreadsheet', 'x-office-spreadsheet'],
  ['editor', 'accessories-text-editor'],
  ['note', 'accessories-text-editor'],
  ['tally', 'x-office-document'],
  ['document', 'x-office-document'],
  ['setting', 'applications-system'],
  ['help', 'help-browser'],
];

/** Categories of the Desktop Menu Specification. */
const categories: Record<string, IconName> = {
  FileManager: 'system-file-manager',
  TerminalEmulator: 'utilities-terminal',
  Email: 'internet-mail',
  Calendar: 'x-office-calendar',
  WebBrowser: 'web-browser',
  TextEditor: 'accessories-text-editor',
  Photography: 'camera-photo',
  AudioVideo: 'applications-multimedia',
  Audio: 'audio-x-generic',
  Video: 'video-x-generic',
  Development: 'accessories-text-editor',
  Education: 'applications-science',
  Game: 'applications-games',
  Graphics: 'applications-graphics',
  Network: 'applications-internet',
  Office: 'x-office-document',
  Science: 'applications-science',
  Settings: 'applications-system',
  System: 'applications-system',
  Utility: 'applications-utilities',
};

/** The sign of a set that suits an application best, by its words and then by its categories; a window where neither tells. */
export function suitedIcon({ Name, Comment = '', Keywords = [], Categories = [] }: Said): IconName {
  const told = [Name, ...Keywords, Comment].flatMap((text) => text.toLowerCase().split(/[^\p{L}\p{N}]+/u));
  for (const word of told) {
    const found = words.find(([beginning]) => word.startsWith(beginning));
    if (found) return found[1];
  }
  for (const category of Categories) {
    const found = lookUp(categories, category);
    if (found) return found;
  }
  return 'application-x-executable';
}
