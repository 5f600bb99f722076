import { useMemo } from 'react';
import { land } from '../../../core/places/land.ts';
import { sunAltitude } from '../../../core/sources/sun/sun.ts';
import type { Coordinates } from '../../../core/places/coordinates.ts';

/** px for a degree. */
const SCALE = 2;
const WIDTH = 360 * SCALE;
const HEIGHT = 180 * SCALE;

const x = (longitude: number) => (longitude + 180) * SCALE;
const y = (latitude: number) => (90 - latitude) * SCALE;

const landPath = land
  .map((ring) => `M${ring.map(([longitude, latitude]) => `${x(longitude)} ${y(latitude)}`).join('L')}Z`)
  .join('');

const lines = [
  ...Array.from({ length: 11 }, (_, index) => `M${x(-150 + index * 30)} 0V${HEIGHT}`),
  ...Array.from({ length: 5 }, (_, index) => `M0 ${y(-60 + index * 30)}H${WIDTH}`),
].join('');

/** The Earth in few strokes, its night, and where the desk is; a press moves it there. */
export function EarthMap({
  moment,
  place,
  onPress,
}: {
  moment: number;
  place: Coordinates;
  onPress: (where: Coordinates) => void;
}) {
  const night = useMemo(() => nightPath(moment), [moment]);
  const [px, py] = [x(place.longitude), y(place.latitude)];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full cursor-crosshair rounded-lg bg-pit"
      role="img"
      aria-label="Map of the Earth with day and night"
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        const longitude = ((event.clientX - box.left) / box.width) * 360 - 180;
        const latitude = 90 - ((event.clientY - box.top) / box.height) * 180;
        onPress({ latitude: Math.round(latitude * 10) / 10, longitude: Math.round(longitude * 10) / 10 });
      }}
    >
      <path d={landPath} className="fill-dust" fillOpacity="0.34" />
      <path d={lines} className="stroke-dust" strokeOpacity="0.16" fill="none" />
      <path d={night} fill="#0b0714" fillOpacity="0.5" />
      <path d={`M${px} 0V${HEIGHT}M0 ${py}H${WIDTH}`} className="stroke-brass" strokeOpacity="0.4" />
      <circle cx={px} cy={py} r="7" className="fill-brass" />
      <circle cx={px} cy={py} r="12" className="stroke-brass" strokeWidth="2" fill="none" />
    </svg>
  );
}

const STEP = 4;

/** Where the sun is down, column by column: from the line between day and night to the pole that lies in the dark. */
function nightPath(moment: number): string {
  const isDark = (latitude: number, longitude: number) => sunAltitude(moment, latitude, longitude) < 0;
  let path = '';
  for (let longitude = -180; longitude < 180; longitude += STEP) {
    const middle = longitude + STEP / 2;
    let from: number | null = null;
    for (let latitude = 90; latitude >= -90; latitude -= STEP / 2) {
      const isNight = isDark(latitude, middle);
      if (isNight) from ??= latitude;
      if (from !== null && (!isNight || latitude <= -90)) {
        path += `M${x(longitude)} ${y(from)}H${x(longitude + STEP)}V${y(latitude)}H${x(longitude)}Z`;
        from = null;
      }
    }
  }
  return path;
}
