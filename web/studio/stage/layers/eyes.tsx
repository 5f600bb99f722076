import { VEIL, eyeMatrices } from '../../../../core/colour/eyes.ts';
import type { Eyes } from '../../chapters/palette/view.ts';

/** The filter through which the stage is seen; undefined for the usual eyes. */
export function eyesFilter(eyes: Eyes): string | undefined {
  if (eyes === 'usual') return undefined;
  return eyes === 'low' ? `contrast(${1 - VEIL.share}) blur(${VEIL.blur}px)` : `url(#eyes-${eyes})`;
}

/** The filters themselves, as SVG has them: the matrices are of linear light. */
export function EyesFilters() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden>
      {Object.entries(eyeMatrices).map(([eyes, matrix]) => (
        <filter key={eyes} id={`eyes-${eyes}`} colorInterpolationFilters="linearRGB">
          <feColorMatrix values={[...matrix.map((row) => `${row.join(' ')} 0 0`), '0 0 0 1 0'].join(' ')} />
        </filter>
      ))}
    </svg>
  );
}
