import { create } from 'zustand';
import type { Track } from '../../../core/sources/sound/schema.ts';
import { browserKeep } from '../../browser-keep.ts';

/** What this page plays, if anything. It goes on across pages and desks, as long as the window is open. */
interface PlayerState {
  track: Track | null;
  isPlaying: boolean;
  /** 0 to 100 */
  volume: number;
}

const KEPT_VOLUME = 'velvet-ledge:volume';

export const usePlayer = create<PlayerState>()(() => ({
  track: null,
  isPlaying: false,
  volume: keptVolume(),
}));

function keptVolume(): number {
  const kept = Number(browserKeep.getItem(KEPT_VOLUME) ?? 80);
  return kept >= 0 && kept <= 100 ? kept : 80;
}

/** From 0 to 100. */
export function setVolume(volume: number): void {
  usePlayer.setState({ volume });
  browserKeep.tryItem(KEPT_VOLUME, String(volume));
}
