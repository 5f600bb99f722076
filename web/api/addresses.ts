import { drawnOfCover } from '../../core/backdrop/cover.ts';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Cover } from '../../core/sources/sound/cover.ts';

/** Where the picture of a backdrop lies, at least `width` device pixels wide. */
export function backdropAddress(drawn: Drawn, width: number): string {
  return `/api/backdrops?width=${bucket(width)}&drawn=${encodeURIComponent(JSON.stringify(drawn))}`;
}

/** Where a backdrop lies as a drawing that is there at once; null where only its pixels are known. */
export function sketchAddress(drawn: Drawn): string | null {
  if (drawn.source.kind === 'picture') return null;
  return `/api/backdrops/sketch?drawn=${encodeURIComponent(JSON.stringify(drawn))}`;
}

/** Where it is told how dark and light a backdrop is, and which palettes are drawn from it. */
export function tonesAddress(drawn: Drawn, hasPalettes: boolean): string {
  const palettes = hasPalettes ? '&palettes=1' : '';
  return `/api/backdrops/tones?drawn=${encodeURIComponent(JSON.stringify(drawn))}${palettes}`;
}

/** Where a piece's cover lies, as a square picture. */
export function coverAddress(cover: Cover, width: number): string {
  return cover.by === 'picture'
    ? pictureAddress(cover.picture, width)
    : backdropAddress(drawnOfCover(cover), width);
}

/** Where the sound of a piece lies. */
export function soundAddress(source: string): string {
  return `/api/sounds/${source}`;
}

/** Where a picture of one's own lies as it is. */
export function pictureAddress(picture: string, width: number): string {
  return `/api/pictures/${picture}?width=${bucket(width)}`;
}

/** Where a picture of a set of icons lies. */
export function setIconAddress(set: string, picture: number): string {
  return `/api/icon-sets/${set}/${picture}`;
}

export function ownIconAddress(name: string): string {
  return pictureAddress(fileOfOwn(name), 240);
}

export function ownFontAddress(name: string): string {
  return `/api/fonts/${fileOfOwn(name)}`;
}

/** The SHA-256 in the name of a file of one's own. */
export function fileOfOwn(own: string): string {
  return own.slice('own:'.length);
}

/** Few sizes, so that a resized window does not fetch a new picture for each pixel. */
function bucket(width: number): number {
  return [240, 480, 960, 1920, 2560].find((size) => size >= width) ?? 3840;
}
