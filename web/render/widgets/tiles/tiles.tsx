import { useContext } from 'react';
import type { TilesLayout, TilesView } from '../../../../core/widgets/tiles/work.ts';
import type { Point } from '../../../../core/values/geometry.ts';
import { fileOfOwn, pictureAddress } from '../../../api/addresses.ts';
import { isOwn } from '../../../../core/values/family.ts';
import { Actions } from '../../actions.ts';
import { DeskIcon } from '../../kit/icons.tsx';
import { placeOf } from '../../kit/runs.tsx';

interface Props {
  view: TilesView;
  layout: TilesLayout;
}

/** A closed outline whose corners are rounded as far as its sides allow. */
function outline(corners: readonly Point[], round: number, by: Point): string {
  if (corners.length > 12 || round <= 0)
    return `M${corners.map(({ x, y }) => `${(x + by.x).toFixed(2)} ${(y + by.y).toFixed(2)}`).join('L')}Z`;
  const parts = corners.map((corner, index) => {
    const before = corners[(index + corners.length - 1) % corners.length] ?? corner;
    const after = corners[(index + 1) % corners.length] ?? corner;
    const toward = (other: Point): Point => {
      const length = Math.hypot(other.x - corner.x, other.y - corner.y);
      const share = Math.min(0.5, round / length);
      return {
        x: corner.x + (other.x - corner.x) * share + by.x,
        y: corner.y + (other.y - corner.y) * share + by.y,
      };
    };
    const [from, to] = [toward(before), toward(after)];
    const pen = `${from.x.toFixed(2)} ${from.y.toFixed(2)}`;
    return `${index === 0 ? 'M' : 'L'}${pen}Q${(corner.x + by.x).toFixed(2)} ${(corner.y + by.y).toFixed(2)} ${to.x.toFixed(2)} ${to.y.toFixed(2)}`;
  });
  return `${parts.join('')}Z`;
}

function Tiles({ view, layout: { size, cells, round } }: Props) {
  const actions = useContext(Actions);
  const colour = `var(--tile)`;
  return (
    <>
      <svg
        className="absolute inset-0 overflow-visible"
        width={size.width}
        height={size.height}
        viewBox={`0 0 ${size.width} ${size.height}`}
        aria-hidden
        style={{ '--tile': view.fill } as React.CSSProperties}
      >
        {cells.map(({ middle, corners }, index) => {
          const cell = view.cells[index];
          return (
            <path
              key={index}
              d={outline(corners, round, middle)}
              fill={colour}
              fillOpacity={view.opacity / 100}
              stroke={cell?.isRunning ? 'var(--accent)' : view.ink}
              strokeWidth={cell?.isRunning ? Math.max(2, view.line) : view.line}
              strokeOpacity={cell?.isRunning ? 1 : 0.5}
            />
          );
        })}
      </svg>
      {cells.map(({ middle, corners, icon }, index) => {
        const cell = view.cells[index];
        if (!cell) return null;
        const path = `path('${outline(corners, round, { x: -Math.min(...corners.map(({ x }) => x)), y: -Math.min(...corners.map(({ y }) => y)) })}')`;
        const box = boxOf(middle, corners);
        return (
          <div key={index} style={{ color: view.ink }}>
            {cell.fills && isOwn(cell.icon) ? (
              <img
                src={pictureAddress(fileOfOwn(cell.icon), 480)}
                alt=""
                draggable={false}
                className="object-cover"
                style={{ ...placeOf(box), maxWidth: 'none', clipPath: path }}
              />
            ) : (
              <span style={placeOf(icon)} className="grid place-items-center">
                <DeskIcon name={cell.icon} size={icon.width} />
              </span>
            )}
            {actions && (
              <button
                type="button"
                aria-label={cell.application ? `Start ${cell.name}` : cell.name}
                className="panel-press z-10"
                style={{ ...placeOf(box), clipPath: path }}
                onClick={() => {
                  if (cell.application) actions.start(cell.application);
                  else if (cell.folder) {
                    actions.turnMenu('appWall');
                    actions.stepMenu({ folder: cell.folder, chosen: 0, page: 0 });
                  } else if (cell.link) actions.openLink(cell.name, cell.link);
                  else actions.say('This cell neither starts nor opens anything yet.');
                }}
              />
            )}
          </div>
        );
      })}
    </>
  );
}

function boxOf({ x, y }: Point, corners: readonly Point[]) {
  const [xs, ys] = [corners.map((corner) => corner.x), corners.map((corner) => corner.y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { x: x + left, y: y + top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
}

export const faces = { diamonds: Tiles, hexagons: Tiles, squares: Tiles, triangles: Tiles, circles: Tiles };
