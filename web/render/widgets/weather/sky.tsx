import { useId } from 'react';
import { litPath } from '../../../../core/backdrop/moon.ts';
import type { SkyView } from '../../../../core/widgets/weather/layout.ts';
import { clamp, type Rect } from '../../../../core/values/geometry.ts';
import { hash } from '../../../../core/sources/noise.ts';
import { placeOf } from '../../kit/runs.tsx';

/** A sky in the colours of the part: the sun or the moon, clouds as many as there are, and what falls from them. */
export function Sky({ sky, box, title }: { sky: SkyView; box: Rect; title: string }) {
  const id = useId();
  const { width, height } = box;
  const day = clamp((sky.altitude + 8) / 20, 0, 1);
  const isDusk = Math.abs(sky.altitude) < 8;
  const top = `color-mix(in oklab, var(--second) ${Math.round(20 + 45 * day)}%, var(--sky-deep))`;
  const low = isDusk
    ? 'color-mix(in oklab, var(--accent) 55%, var(--second))'
    : `color-mix(in oklab, var(--second) ${Math.round(30 + 30 * day)}%, var(--sky-pale))`;
  const horizon = height * 0.86;
  const lamp = {
    x: width * (0.14 + 0.72 * sky.across),
    y: horizon - (horizon - 34) * clamp(sky.altitude / 42, 0, 1),
  };
  return (
    <svg
      role="img"
      aria-label={title}
      style={
        {
          ...placeOf(box),
          borderRadius: 10,
          overflow: 'hidden',
          '--sky-deep': 'color-mix(in oklab, var(--ink) 12%, black)',
          '--sky-pale': 'color-mix(in oklab, var(--ink) 55%, var(--second))',
        } as React.CSSProperties
      }
      viewBox={`0 0 ${width} ${height}`}
      fill="none"
    >
      <defs>
        <linearGradient id={`${id}sky`} x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" style={{ stopColor: top }} />
          <stop offset="1" style={{ stopColor: low }} />
        </linearGradient>
      </defs>
      <rect width={width} height={height} fill={`url(#${id}sky)`} />
      {sky.altitude < -6 && (
        <path d={starsIn(width, horizon * 0.8)} fill="white" fillOpacity={0.75 * (1 - sky.cloud)} />
      )}
      {sky.altitude > -1 ? (
        <>
          <circle cx={lamp.x} cy={lamp.y} r="46" fill="var(--accent)" fillOpacity={0.16 * (1 - sky.cloud)} />
          <circle cx={lamp.x} cy={lamp.y} r="21" fill="var(--accent)" fillOpacity={1 - 0.65 * sky.cloud} />
        </>
      ) : (
        <>
          <circle cx={width * 0.76} cy={height * 0.3} r="17" fill="white" fillOpacity="0.08" />
          <path
            d={litPath({ x: width * 0.76, y: height * 0.3, r: 17, phase: sky.phase })}
            fill="white"
            fillOpacity={0.9 - 0.6 * sky.cloud}
          />
        </>
      )}
      <path d={cloudsOf(sky.cloud, width)} fill="white" fillOpacity={0.24 + 0.3 * day} />
      <path
        d={shoreOf(width, height, horizon)}
        style={{ fill: 'color-mix(in oklab, var(--second) 30%, black)' }}
      />
      {sky.rain > 0 && (
        <path
          d={streaks(sky, width, height)}
          stroke="white"
          strokeOpacity="0.5"
          strokeWidth="1.4"
          strokeLinecap="round"
        />
      )}
      {sky.snow > 0 && <path d={flakes(sky.snow, width, height)} fill="white" fillOpacity="0.85" />}
      {sky.fog > 0 &&
        [0.45, 0.6, 0.75].map((at, index) => (
          <rect
            key={at}
            x={-10}
            y={height * at}
            width={width + 20}
            height={height * 0.2}
            rx={height * 0.1}
            fill="white"
            fillOpacity={sky.fog * (0.28 + 0.08 * index)}
          />
        ))}
    </svg>
  );
}

const dot = (x: number, y: number, r: number) =>
  `M${(x - r).toFixed(1)} ${y.toFixed(1)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

function starsIn(width: number, height: number): string {
  return Array.from({ length: 46 }, (_, index) =>
    dot(hash(3, index) * width, hash(4, index) * height, 0.5 + hash(5, index) * 0.7),
  ).join('');
}

/** As many as there is cloud. One path: where they overlap they are no denser. */
function cloudsOf(cloud: number, width: number): string {
  return Array.from({ length: Math.round(cloud * 9) }, (_, index) => {
    const x = (0.08 + 0.84 * ((0.37 + index * 0.618) % 1)) * width;
    return cloudPath(x, 26 + 70 * hash(8, index), 0.75 + 0.6 * hash(9, index) + 0.4 * cloud);
  }).join('');
}

/** Flat below, round above. */
function cloudPath(x: number, y: number, size: number): string {
  const s = (value: number) => (value * size).toFixed(1);
  return `M${(x - 44 * size).toFixed(1)} ${(y + 16 * size).toFixed(1)}a${s(15)} ${s(15)} 0 0 1 ${s(12)} ${s(-26)}a${s(23)} ${s(23)} 0 0 1 ${s(43)} ${s(-7)}a${s(18)} ${s(18)} 0 0 1 ${s(33)} ${s(33)}z`;
}

function shoreOf(width: number, height: number, horizon: number): string {
  return `M0 ${horizon + 8}Q${width * 0.2} ${horizon - 12} ${width * 0.42} ${horizon + 2}T${width * 0.8} ${horizon}T${width} ${horizon - 6}V${height}H0Z`;
}

function streaks({ rain, slant }: SkyView, width: number, height: number): string {
  return Array.from({ length: Math.round(24 + 70 * rain) }, (_, index) => {
    const [x, y] = [hash(11, index) * (width + 40) - 20, 40 + hash(12, index) * (height - 50)];
    const long = 9 + 9 * hash(13, index);
    return `M${x.toFixed(1)} ${y.toFixed(1)}l${(-slant * long * 0.8).toFixed(1)} ${long.toFixed(1)}`;
  }).join('');
}

function flakes(snow: number, width: number, height: number): string {
  return Array.from({ length: Math.round(30 + 70 * snow) }, (_, index) =>
    dot(hash(21, index) * width, 30 + hash(22, index) * (height - 34), 1 + hash(23, index) * 1.4),
  ).join('');
}
