/** A colour of a page as bytes, red, green, blue and how much of it there is. */
type Bytes = readonly [number, number, number, number];

const pixel = () => new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true });
let context: ReturnType<typeof pixel> = null;

/** Any colour that style sheets tell, as bytes. */
function bytesOf(colour: string): Bytes {
  context ??= pixel();
  if (!context) return [0, 0, 0, 0];
  context.clearRect(0, 0, 1, 1);
  context.fillStyle = colour;
  context.fillRect(0, 0, 1, 1);
  const [r = 0, g = 0, b = 0, a = 0] = context.getImageData(0, 0, 1, 1).data;
  return [r, g, b, a];
}

const hexOf = (bytes: readonly number[]): string =>
  `#${bytes
    .slice(0, 3)
    .map((byte) => Math.round(byte).toString(16).padStart(2, '0'))
    .join('')}`;

/**
 * The colour (#rrggbb) that something on a screen is drawn in at a point of the window: of a text, a sign or a mark the very
 * colour that it has, of a surface what it makes of what lies behind (#rrggbb). Null where nothing is drawn there.
 */
export function drawnColourAt(screen: Element, x: number, y: number, behind: string): string | null {
  const there = document.elementsFromPoint(x, y).filter((element) => screen.contains(element));
  const surfaces: Bytes[] = [];
  for (const element of there) {
    const drawn = ownColour(element, x, y);
    if (drawn) return hexOf(drawn);
    const back = bytesOf(getComputedStyle(element).backgroundColor);
    if (element === screen) break;
    if (back[3] > 0) surfaces.push(back);
  }
  if (surfaces.length === 0) return null;
  // From the lowest up.
  const seen = surfaces.reduceRight<readonly number[]>(
    (under, [r, g, b, a]) =>
      [r, g, b].map((channel, at) => ((under[at] ?? 0) * (255 - a) + channel * a) / 255),
    bytesOf(behind).slice(0, 3),
  );
  return hexOf(seen);
}

/** What something is drawn in that is no plain box. */
function ownColour(element: Element, x: number, y: number): Bytes | null {
  const style = getComputedStyle(element);
  if (element instanceof SVGGeometryElement) {
    const paint = [style.fill, style.stroke].find((one) => one !== 'none' && !one.startsWith('url('));
    return paint ? bytesOf(paint) : null;
  }
  if (element instanceof HTMLCanvasElement) {
    const box = element.getBoundingClientRect();
    const at = [
      ((x - box.left) / box.width) * element.width,
      ((y - box.top) / box.height) * element.height,
    ] as const;
    const data = element.getContext('2d')?.getImageData(Math.floor(at[0]), Math.floor(at[1]), 1, 1).data;
    return data && (data[3] ?? 0) > 127 ? [data[0] ?? 0, data[1] ?? 0, data[2] ?? 0, 255] : null;
  }
  return element.classList.contains('run') ? bytesOf(style.color) : null;
}
