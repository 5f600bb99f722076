import { useMemo } from 'react';
import type { Paint } from '../../../../core/kinds/layout.ts';
import { plainSpectrum } from '../../../../core/sound/spectrum/settings.ts';
import type { SpectrumView } from '../../../../core/widgets/spectrum/work.ts';
import { Spectrum } from './spectrum.tsx';

/** A spectrum of few bands for a strip. */
export function SmallSpectrum({
  on,
  colour,
  width,
  height,
  isQuiet,
}: {
  on: SpectrumView['on'];
  colour: Paint;
  width: number;
  height: number;
  isQuiet: boolean;
}) {
  const { began, paused, isHeard, source, seconds } = on;
  const view = useMemo(
    (): SpectrumView => ({
      face: 'bars',
      hears: 'player',
      settings: { ...plainSpectrum, bands: 12, peaks: false },
      colours: [colour],
      along: 'bands',
      gap: 0.35,
      isMirrored: false,
      isTurned: false,
      isFlipped: false,
      most: isQuiet ? 0 : 20,
      on: { began, paused, isHeard, source, seconds },
    }),
    [colour, began, paused, isHeard, source, seconds, isQuiet],
  );
  const layout = useMemo(() => ({ size: { width, height }, runs: [], beyond: 0 }), [width, height]);
  return <Spectrum view={view} layout={layout} />;
}
