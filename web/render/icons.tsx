import {
  AppWindow,
  ArrowDownUp,
  AudioLines,
  CalendarDays,
  Camera,
  Folder,
  Gauge,
  LayoutGrid,
  Mail,
  Map,
  Moon,
  NotebookPen,
  Search,
  SquareTerminal,
  Sun,
  Wifi,
  WifiOff,
  type LucideIcon,
} from 'lucide-react';
import {
  AppWindowIcon,
  ArrowsDownUpIcon,
  CalendarDotsIcon,
  CameraIcon,
  EnvelopeSimpleIcon,
  FolderSimpleIcon,
  GaugeIcon,
  MagnifyingGlassIcon,
  MapTrifoldIcon,
  MoonIcon,
  NotebookIcon,
  SquaresFourIcon,
  SunIcon,
  TerminalWindowIcon,
  WaveformIcon,
  WifiHighIcon,
  WifiSlashIcon,
  type Icon as PhosphorIcon,
} from '@phosphor-icons/react';
import { createContext, useContext } from 'react';
import type { Look } from '../../core/desk/schema.ts';

/** Icons of the desk, by freedesktop name, in the sets that a desk can choose from. */
const names: Record<string, { line: LucideIcon; duo: PhosphorIcon }> = {
  'application-x-executable': { line: AppWindow, duo: AppWindowIcon },
  'view-app-grid': { line: LayoutGrid, duo: SquaresFourIcon },
  'system-search': { line: Search, duo: MagnifyingGlassIcon },
  'x-office-document': { line: NotebookPen, duo: NotebookIcon },
  'applications-maps': { line: Map, duo: MapTrifoldIcon },
  'audio-x-generic': { line: AudioLines, duo: WaveformIcon },
  'internet-mail': { line: Mail, duo: EnvelopeSimpleIcon },
  'camera-photo': { line: Camera, duo: CameraIcon },
  'system-file-manager': { line: Folder, duo: FolderSimpleIcon },
  'utilities-terminal': { line: SquareTerminal, duo: TerminalWindowIcon },
  'office-calendar': { line: CalendarDays, duo: CalendarDotsIcon },
  'network-idle': { line: Wifi, duo: WifiHighIcon },
  'network-transmit-receive': { line: ArrowDownUp, duo: ArrowsDownUpIcon },
  'network-offline': { line: WifiOff, duo: WifiSlashIcon },
  'speedometer-low': { line: Gauge, duo: GaugeIcon },
  'speedometer-middle': { line: Gauge, duo: GaugeIcon },
  'speedometer-high': { line: Gauge, duo: GaugeIcon },
  'weather-clear': { line: Sun, duo: SunIcon },
  'weather-clear-night': { line: Moon, duo: MoonIcon },
};

export const IconSet = createContext<Look['icons']>('line');

export function DeskIcon({ name, size }: { name: string; size: number }) {
  const set = useContext(IconSet);
  if (name === 'start-here') return <LedgeMark size={size} />;
  const found = names[name] ?? names['application-x-executable'];
  if (!found) return null;
  if (set === 'duo') return <found.duo size={size} weight="duotone" aria-hidden />;
  // A stroke of about a fourteenth of the size reads as one weight at every size.
  return <found.line size={size} strokeWidth={size > 28 ? 1.5 : 1.75} aria-hidden />;
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
