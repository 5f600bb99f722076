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

/** Icons in two tones, by freedesktop name. */
const duo: Record<string, PhosphorIcon> = {
  'application-x-executable': AppWindowIcon,
  'view-app-grid': SquaresFourIcon,
  'system-search': MagnifyingGlassIcon,
  'x-office-document': NotebookIcon,
  'applications-maps': MapTrifoldIcon,
  'audio-x-generic': WaveformIcon,
  'internet-mail': EnvelopeSimpleIcon,
  'camera-photo': CameraIcon,
  'system-file-manager': FolderSimpleIcon,
  'utilities-terminal': TerminalWindowIcon,
  'office-calendar': CalendarDotsIcon,
  'network-idle': WifiHighIcon,
  'network-transmit-receive': ArrowsDownUpIcon,
  'network-offline': WifiSlashIcon,
  'speedometer-low': GaugeIcon,
  'speedometer-middle': GaugeIcon,
  'speedometer-high': GaugeIcon,
  'weather-clear': SunIcon,
  'weather-clear-night': MoonIcon,
};

export default function DuoIcon({ name, size }: { name: string; size: number }) {
  const Duo = duo[name] ?? AppWindowIcon;
  return <Duo size={size} weight="duotone" aria-hidden />;
}
