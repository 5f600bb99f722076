import type { Sounding } from '../../render/kit/sounding.ts';
import { useConditions } from '../conditions.ts';
import { isListening, powerHeard } from './hearing.ts';
import { onLooked, powerOf, waveOfPiece } from './looking.ts';

/** ms that frames took lately, each counted for a part of it. */
let cost = 0;

/** ms a frame of one spectrum takes, on the whole. */
export const costOfSpectrum = () => cost;

/** The moment shown goes on between two ticks of the clock, but where it is held. */
function now(): number {
  const { isNow, moment } = useConditions.getState();
  return isNow ? Date.now() : moment;
}

export const sounding: Sounding = {
  now,
  power({ on, hears }, window) {
    if (hears !== 'player') return powerHeard(hears, window);
    if (on.isHeard) return powerHeard('player', window);
    if (on.source === null || on.paused !== null) return null;
    return powerOf(on.source, window, Math.min(on.seconds, Math.max(0, (now() - on.began) / 1000)));
  },
  isLive: ({ on, hears }) => (hears === 'player' ? on.isHeard : isListening(hears)),
  wave: waveOfPiece,
  onChange: onLooked,
  tellCost(ms) {
    cost += (ms - cost) * 0.05;
  },
};
