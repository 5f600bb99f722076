import type { WeatherLayout, WeatherView } from '../../../../core/widgets/weather/layout.ts';
import { DeskIcon } from '../../kit/icons.tsx';
import { paint, placeOf } from '../../kit/runs.tsx';
import { Sky } from './sky.tsx';

interface Props {
  view: WeatherView;
  layout: WeatherLayout;
}

function Icon({ view, layout: { icon } }: Props) {
  return (
    icon && (
      <span role="img" aria-label={view.title} style={{ ...placeOf(icon), color: paint(view.colour) }}>
        <DeskIcon name={view.icon} size={icon.width} />
      </span>
    )
  );
}

function Hours(props: Props) {
  const { view, layout } = props;
  const { plot } = layout;
  const colour = paint(view.colour);
  return (
    <>
      <Icon {...props} />
      {plot && (
        <svg
          style={placeOf({ x: 0, y: 0, ...layout.size })}
          className="overflow-visible"
          fill="none"
          role="img"
          aria-label={`From ${view.hours[0]?.told ?? ''} to ${view.hours.at(-1)?.told ?? ''} in ${view.hours.length - 1} hours`}
        >
          {plot.rain.map(
            ({ x, y, width, height }, index) =>
              height > 0 && (
                <rect
                  key={index}
                  x={x}
                  y={y}
                  width={width}
                  height={height}
                  rx="2"
                  fill="var(--second)"
                  fillOpacity="0.75"
                />
              ),
          )}
          <path d={areaUnder(plot)} fill={colour} fillOpacity="0.13" />
          <path
            d={curveOf(plot.points)}
            stroke={colour}
            strokeWidth="2.6"
            strokeLinejoin="round"
            strokeLinecap="round"
          />
          {plot.points[0] && <circle cx={plot.points[0].x} cy={plot.points[0].y} r="4.5" fill={colour} />}
        </svg>
      )}
    </>
  );
}

type Plot = NonNullable<WeatherLayout['plot']>;

/** Through all points; where nothing is known it has a gap. */
function curveOf(points: Plot['points']): string {
  let path = '';
  points.forEach((point, index) => {
    if (!point) return;
    path += `${index === 0 || !points[index - 1] ? 'M' : 'L'}${point.x.toFixed(1)} ${point.y.toFixed(1)}`;
  });
  return path;
}

function areaUnder({ points, rect }: Plot): string {
  const known = points.filter((point) => point !== null);
  const [first, last] = [known[0], known.at(-1)];
  if (!first || !last || known.length < points.length) return '';
  const floor = rect.y + rect.height + 12;
  return `${curveOf(points)}L${last.x.toFixed(1)} ${floor}L${first.x.toFixed(1)} ${floor}Z`;
}

function Days({ view, layout }: Props) {
  return layout.days.map(({ icon, track, bar }, index) => {
    const day = view.days[index];
    return (
      day && (
        <div key={day.name}>
          <span style={placeOf(icon)}>
            <DeskIcon name={day.icon} size={icon.width} />
          </span>
          <div
            className="rounded-full"
            style={{ ...placeOf(track), background: 'color-mix(in srgb, var(--ink) 14%, transparent)' }}
          />
          <div
            className="rounded-full"
            style={{
              ...placeOf(bar),
              background: `linear-gradient(90deg, var(--second), ${paint(view.colour)})`,
            }}
          />
        </div>
      )
    );
  });
}

function SkyFace({ view, layout }: Props) {
  return layout.sky && view.sky && <Sky sky={view.sky} box={layout.sky} title={view.title} />;
}

/** Degrees clockwise from north as a point on a circle. */
function on(radius: number, degrees: number): string {
  const turn = (degrees * Math.PI) / 180;
  return `${(Math.sin(turn) * radius).toFixed(2)} ${(-Math.cos(turn) * radius).toFixed(2)}`;
}

const ticks = Array.from({ length: 32 }, (_, index) => index * 11.25)
  .filter((degrees) => degrees % 90 !== 0)
  .map((degrees) => `M${on(98, degrees)}L${on(degrees % 45 === 0 ? 88 : 93, degrees)}`)
  .join('');

function Rose({ view, layout: { rose } }: Props) {
  if (!rose) return null;
  const from = view.direction;
  return (
    <svg
      style={placeOf(rose)}
      viewBox="-106 -106 212 212"
      fill="none"
      role="img"
      aria-label={`Wind from ${view.from}, ${view.wind.figure} ${view.wind.unit}`}
    >
      <circle r="102" stroke="var(--ink)" strokeOpacity="0.22" strokeWidth="2" />
      <path d={ticks} stroke="var(--ink)" strokeOpacity="0.35" strokeWidth="2" />
      {from !== null && (
        <path
          d={`M${on(102, from - 16)}A102 102 0 0 1 ${on(102, from + 16)}L${on(82, from)}Z`}
          fill={paint(view.colour)}
        />
      )}
    </svg>
  );
}

export const faces = { line: Icon, hours: Hours, days: Days, sky: SkyFace, rose: Rose };
