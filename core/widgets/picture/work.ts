import type { WidgetContext } from '../../kinds/kind.ts';
import { cutLine, type Layout } from '../../kinds/layout.ts';
import type { Rect } from '../../values/geometry.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { PictureFace, PictureOptions } from './picture.ts';

export interface PictureView extends Pick<
  PictureOptions,
  'width' | 'height' | 'near' | 'across' | 'down' | 'turn' | 'radius' | 'border' | 'tint'
> {
  /** Id of the picture; null while there is none. */
  picture: string | null;
  colour: string;
  frame: string;
}

export interface PictureLayout extends Layout {
  picture: Rect;
}

const MINUTE = 60_000;

export function view(options: PictureOptions, _face: PictureFace, context: WidgetContext): PictureView {
  const { pictures, minutes, colour, frame, ...rest } = options;
  const turn = Math.floor(context.readings.moment / (minutes * MINUTE));
  const shown = pictures[((turn % pictures.length) + pictures.length) % Math.max(1, pictures.length)];
  return {
    ...rest,
    picture: shown?.slice('own:'.length) ?? null,
    colour: context.plainColour(colour),
    frame: context.plainColour(frame),
  };
}

export function layout(view: PictureView, face: PictureFace, { fonts }: WidgetContext): PictureLayout {
  const sheet = createSheet(fonts);
  const { width, turn } = view;
  const height = face === 'round' || face === 'hexagon' ? width : view.height;
  const border = face === 'framed' ? view.border : 0;
  const [wide, high] = [width + 2 * border, height + 2 * border];
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.abs(Math.cos(angle)), Math.abs(Math.sin(angle))];
  const around = { width: Math.ceil(wide * cos + high * sin), height: Math.ceil(wide * sin + high * cos) };
  sheet.keep({ x: 0, y: 0, ...around });
  const rect = { x: (around.width - width) / 2, y: (around.height - height) / 2, width, height };
  if (view.picture === null) {
    const style = { font: 'text', size: Math.min(18, width / 9), weight: 500, colour: 'softInk' } as const;
    sheet.middle(
      cutLine('No picture yet', style, fonts, width),
      { centre: around.width / 2 },
      0,
      around.height,
    );
  }
  return sheet.lay({ picture: rect });
}
