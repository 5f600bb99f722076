import type { CSSProperties } from 'react';
import type { PictureLayout, PictureView } from '../../../../core/widgets/picture/work.ts';
import { pictureAddress } from '../../../api/addresses.ts';
import { placeOf } from '../../kit/runs.tsx';

interface Props {
  view: PictureView;
  layout: PictureLayout;
}

const drawIn = (shape: (view: PictureView) => CSSProperties, isFramed = false) =>
  function Picture({ view, layout: { picture } }: Props) {
    const { border, near, across, down, turn, tint } = view;
    const own = shape(view);
    return (
      <div style={{ ...placeOf(picture), transform: turn === 0 ? undefined : `rotate(${turn}deg)` }}>
        {isFramed && (
          <div
            style={{
              position: 'absolute',
              inset: -border,
              background: view.frame,
              borderRadius: view.radius + border / 2,
            }}
          />
        )}
        <div className="absolute inset-0 overflow-hidden" style={own}>
          {view.picture === null ? (
            <div
              className="size-full"
              style={{ background: 'color-mix(in srgb, var(--ink) 14%, transparent)' }}
            />
          ) : (
            <img
              src={pictureAddress(view.picture, picture.width * (near / 100) * 2)}
              alt=""
              draggable={false}
              className="size-full object-cover"
              style={{
                objectPosition: `${across}% ${down}%`,
                transform: near === 100 ? undefined : `scale(${near / 100})`,
                transformOrigin: `${across}% ${down}%`,
              }}
            />
          )}
          {tint > 0 && (
            <div
              className="absolute inset-0"
              style={{ background: view.colour, opacity: tint / 100, mixBlendMode: 'color' }}
            />
          )}
        </div>
      </div>
    );
  };

export const faces = {
  bare: drawIn(({ radius }) => ({ borderRadius: radius })),
  framed: drawIn(({ radius }) => ({ borderRadius: radius }), true),
  round: drawIn(() => ({ borderRadius: '50%' })),
  arch: drawIn(({ width }) => ({ borderRadius: `${width / 2}px ${width / 2}px 8px 8px` })),
  hexagon: drawIn(() => ({ clipPath: 'polygon(50% 0, 93.3% 25%, 93.3% 75%, 50% 100%, 6.7% 75%, 6.7% 25%)' })),
};
