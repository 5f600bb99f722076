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
import { Suspense, createContext, lazy, useContext } from 'react';
import type { Look } from '../../core/desk/schema.ts';

/** Icons in line, by freedesktop name. */
const line: Record<string, LucideIcon> = {
  'application-x-executable': AppWindow,
  'view-app-grid': LayoutGrid,
  'system-search': Search,
  'x-office-document': NotebookPen,
  'applications-maps': Map,
  'audio-x-generic': AudioLines,
  'internet-mail': Mail,
  'camera-photo': Camera,
  'system-file-manager': Folder,
  'utilities-terminal': SquareTerminal,
  'office-calendar': CalendarDays,
  'network-idle': Wifi,
  'network-transmit-receive': ArrowDownUp,
  'network-offline': WifiOff,
  'speedometer-low': Gauge,
  'speedometer-middle': Gauge,
  'speedometer-high': Gauge,
  'weather-clear': Sun,
  'weather-clear-night': Moon,
};

/** A set of its own file each: only the one that a desk uses is fetched. */
const DuoIcon = lazy(() => import('./icons-duo.tsx'));

export const IconSet = createContext<Look['icons']>('line');

export function DeskIcon({ name, size }: { name: string; size: number }) {
  const set = useContext(IconSet);
  if (name === 'start-here') return <LedgeMark size={size} />;
  if (set === 'duo') {
    return (
      <Suspense fallback={<span className="block" style={{ width: size, height: size }} />}>
        <DuoIcon name={name} size={size} />
      </Suspense>
    );
  }
  const Line = line[name] ?? AppWindow;
  // A stroke of about a fourteenth of the size reads as one weight at every size.
  return <Line size={size} strokeWidth={size > 28 ? 1.5 : 1.75} aria-hidden />;
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
