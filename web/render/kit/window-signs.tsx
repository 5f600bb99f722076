import type { SignName } from '../../../core/icons/names.ts';
import { SignIcon } from './icons.tsx';
import type { ButtonShape, WindowButton } from '../../../core/values/window-buttons.ts';

interface Sign {
  path: string;
  isFilled: boolean;
}

/** The signs of window buttons in a square of 16, by shape and what they do. Filled signs keep to the square by themselves. */
const signs: Record<ButtonShape, Record<WindowButton, Sign>> = {
  strokes: {
    minimise: { path: 'M2 13H14', isFilled: false },
    fill: { path: 'M3 2V13H14', isFilled: false },
    close: { path: 'M3 3L13 13M13 3L8 8', isFilled: false },
  },
  wedges: {
    minimise: { path: 'M1 4H15L8 14Z', isFilled: true },
    fill: { path: 'M2 2H14L2 14Z', isFilled: true },
    close: { path: 'M8 1L15 8L8 15L1 8Z', isFilled: true },
  },
  notches: {
    minimise: { path: 'M1 8H5V11H11V8H15V15H1Z', isFilled: true },
    fill: { path: 'M1 1H15V15H8V8H1Z', isFilled: true },
    close: { path: 'M1 1H6L8 4L10 1H15V15H10L8 12L6 15H1Z', isFilled: true },
  },
  drops: {
    minimise: { path: 'M8 15A6 6 0 0 1 2 9C2 6 8 1 8 1S14 6 14 9A6 6 0 0 1 8 15Z', isFilled: true },
    fill: { path: 'M2 2H8A6 6 0 1 1 2 8Z', isFilled: true },
    close: { path: 'M8 2A6 6 0 1 1 8 14A6 6 0 0 1 8 2ZM8 6A2 2 0 1 0 8 10A2 2 0 0 0 8 6Z', isFilled: true },
  },
};

export function WindowSign({
  shape,
  does,
  size,
  weight,
}: {
  shape: ButtonShape;
  does: WindowButton;
  size: number;
  weight: number;
}) {
  const { path, isFilled } = signs[shape][does];
  const drawn = (
    <svg viewBox="0 0 16 16" width={size} height={size} aria-hidden className="block overflow-visible">
      <path
        d={path}
        fill={isFilled ? 'currentColor' : 'none'}
        fillRule="evenodd"
        stroke={isFilled ? 'none' : 'currentColor'}
        strokeWidth={(weight * 16) / size}
      />
    </svg>
  );
  return (
    <SignIcon name={signNames[does]} size={size}>
      {drawn}
    </SignIcon>
  );
}

/** What the buttons are called by sets of icons. */
const signNames: Record<WindowButton, SignName> = {
  minimise: 'window-minimize',
  fill: 'window-maximize',
  close: 'window-close',
};
