import type { CSSProperties } from 'react';
import type { Side } from '../../../../core/values/geometry.ts';
import type { ItemViewOf } from '../../../../core/items/list.ts';
import { LINE, type EdgeFacts } from '../../edge-facts.ts';
import { ApplicationIcon } from '../../icons.tsx';
import { setIn } from '../../type.ts';
import { Press } from '../../press.tsx';

/** Which way an icon lifts off its line, and where its name stands: away from the screen's side. */
const away: Record<Side, { lift: string; stand: CSSProperties; name: CSSProperties }> = {
  bottom: {
    lift: 'translateY(-9px)',
    stand: { paddingBottom: LINE.stand },
    name: { bottom: '100%', left: '50%', translate: '-50% 0' },
  },
  top: {
    lift: 'translateY(9px)',
    stand: { paddingTop: LINE.stand },
    name: { top: '100%', left: '50%', translate: '-50% 0' },
  },
  left: {
    lift: 'translateX(9px)',
    stand: { paddingLeft: LINE.stand },
    name: { left: '100%', top: '50%', translate: '4px -50%' },
  },
  right: {
    lift: 'translateX(-9px)',
    stand: { paddingRight: LINE.stand },
    name: { right: '100%', top: '50%', translate: '-4px -50%' },
  },
};

export function ApplicationItem({ view, edge }: { view: ItemViewOf<'application'>; edge: EdgeFacts }) {
  return edge.isDock ? <OnDock view={view} edge={edge} /> : <OnPanel view={view} edge={edge} />;
}

function OnPanel({ view, edge }: { view: ItemViewOf<'application'>; edge: EdgeFacts }) {
  return (
    <Press
      label={`Start ${view.name}`}
      onPress={(actions) => actions.start(view.application)}
      className="panel-press relative flex size-full items-center justify-center gap-2 rounded-md"
      style={setIn('text', { size: view.fontSize, weight: 500 })}
    >
      <ApplicationIcon application={view.application} name={view.icon} size={edge.iconSize} />
      {view.label && <span className="whitespace-nowrap">{view.label}</span>}
      {view.isRunning && (
        <span
          className="absolute"
          style={{ background: 'var(--accent)', borderRadius: 2, ...underline(edge.side) }}
        />
      )}
    </Press>
  );
}

function underline(side: Side): CSSProperties {
  return side === 'left' || side === 'right'
    ? { [side]: 0, top: '25%', bottom: '25%', width: 3 }
    : { [side]: 0, left: '20%', right: '20%', height: 3 };
}

function OnDock({ view, edge }: { view: ItemViewOf<'application'>; edge: EdgeFacts }) {
  const { lift, stand, name } = away[edge.side];
  return (
    <div className="relative size-full" style={{ ...stand }}>
      <Press
        label={`Start ${view.name}`}
        onPress={(actions) => actions.start(view.application)}
        className="dock-icon relative grid size-full place-items-center"
        style={{ '--lift': lift } as CSSProperties}
      >
        <span style={{ filter: 'drop-shadow(0 2px 6px rgb(0 0 0 / .35))' }}>
          <ApplicationIcon application={view.application} name={view.icon} size={edge.iconSize} />
        </span>
        <span
          className="dock-name pointer-events-none absolute whitespace-nowrap"
          style={{
            ...setIn('text', { size: 17, weight: 500 }),
            ...name,
            textShadow: '0 1px 8px rgb(0 0 0 / .6)',
          }}
        >
          {view.name}
        </span>
      </Press>
      {view.isRunning && <span className="absolute" style={stud(edge.side)} data-stud={view.application} />}
    </div>
  );
}

/** A raised stud on the line under what runs. */
function stud(side: Side): CSSProperties {
  const along = 22;
  const up = 5;
  const isUpright = side === 'left' || side === 'right';
  return {
    [side]: LINE.width,
    background: 'var(--accent)',
    borderRadius:
      side === 'bottom'
        ? '4px 4px 0 0'
        : side === 'top'
          ? '0 0 4px 4px'
          : side === 'left'
            ? '0 4px 4px 0'
            : '4px 0 0 4px',
    ...(isUpright
      ? { top: '50%', translate: '0 -50%', height: along, width: up }
      : { left: '50%', translate: '-50% 0', width: along, height: up }),
  };
}
