import type { SignName } from '../../../core/icons/names.ts';
import { SignIcon } from './icons.tsx';

/** Our own signs for what is played, in a field of 24 by 24. */
const signs = {
  before: 'M7 5v14M19 6.2v11.6L9.6 12z',
  next: 'M17 5v14M5 6.2v11.6L14.4 12z',
  play: 'M7.5 4.8v14.4L19.5 12z',
  pause: 'M8.5 5v14M15.5 5v14',
};
export type SoundSign = keyof typeof signs;

export function SoundSignView({ sign, size }: { sign: SoundSign; size: number }) {
  const isLine = sign === 'pause';
  const drawn = (
    <svg viewBox="0 0 24 24" className="size-full p-[12%]" aria-hidden>
      <path
        d={signs[sign]}
        fill={isLine ? 'none' : 'currentColor'}
        stroke="currentColor"
        strokeWidth={isLine ? 3.4 : 1.8}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
  return (
    <SignIcon name={signNames[sign]} size={size}>
      {drawn}
    </SignIcon>
  );
}

/** What they are called by sets of icons. */
const signNames: Record<SoundSign, SignName> = {
  before: 'media-skip-backward',
  next: 'media-skip-forward',
  play: 'media-playback-start',
  pause: 'media-playback-pause',
};

/** What the button in the middle shows: what a press does. */
export function turnSign({ isHeard, isPaused }: { isHeard: boolean; isPaused: boolean }): SoundSign {
  return isHeard && !isPaused ? 'pause' : 'play';
}

export const soundLabels: Record<SoundSign, string> = {
  before: 'The piece before',
  next: 'The next piece',
  play: 'Play',
  pause: 'Pause',
};
