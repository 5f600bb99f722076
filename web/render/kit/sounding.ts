import { createContext } from 'react';
import type { WindowName } from '../../../core/sound/spectrum/settings.ts';
import type { SpectrumView } from '../../../core/widgets/spectrum/work.ts';

/** What a page knows of what is on, beside the scene: sounds themselves. */
export interface Sounding {
  /** The moment shown, ms; it moves on between two ticks of the clock. */
  now(): number;
  /** The power in each bin of what is on at that moment, and how it is counted; null where there is none. */
  power(view: Pick<SpectrumView, 'on' | 'hears'>, window: WindowName): SoundPower | null;
  /** It is measured from what sounds, not looked up. */
  isLive(view: Pick<SpectrumView, 'on' | 'hears'>): boolean;
  /** How loud a piece is along its length; null until it was looked into. */
  wave(source: string): Float32Array | null;
  /** Calls back once something was looked into. */
  onChange(listener: () => void): () => void;
  /** ms that drawing a spectrum took. */
  tellCost(ms: number): void;
}

export interface SoundPower {
  power: Float64Array;
  rate: number;
  spread: number;
}

/** Undefined where a desk is only looked at; null until what knows of sounds is here. */
export const Sounding = createContext<Sounding | null | undefined>(undefined);
