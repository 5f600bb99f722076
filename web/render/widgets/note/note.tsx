import { useContext } from 'react';
import type { NoteLayout, NoteView } from '../../../../core/widgets/note/work.ts';
import { Actions, WidgetId } from '../../actions.ts';
import { paint, placeOf } from '../../runs.tsx';

interface Props {
  view: NoteView;
  layout: NoteLayout;
}

/** Marks, boxes to tick, and lines beneath the letters. */
function Note({ view, layout: { ticks, dots, rules, edge } }: Props) {
  const actions = useContext(Actions);
  const widget = useContext(WidgetId);
  const colour = paint(view.marks);
  return (
    <>
      {rules.map((rect, index) => (
        <div key={index} style={{ ...placeOf(rect), background: 'var(--ink)', opacity: 0.18 }} />
      ))}
      {edge && edge.width <= 3 && (
        <div style={{ ...placeOf(edge), background: colour }} className="rounded-full" />
      )}
      {edge && edge.width > 3 && (
        <svg style={placeOf(edge)} viewBox="0 0 10 10" aria-hidden>
          <path d="M10 0L0 10V1.6Q0 0 1.6 0Z" fill={colour} opacity={0.55} />
        </svg>
      )}
      {dots.map((rect, index) => (
        <div key={index} style={{ ...placeOf(rect), background: colour }} className="rounded-full" />
      ))}
      {ticks.map(({ rect, isTicked, title }, index) => (
        <Tick
          key={index}
          title={title}
          isTicked={isTicked}
          colour={colour}
          style={placeOf(rect)}
          onTick={actions && widget !== null ? () => actions.tickNote(widget, index) : null}
        />
      ))}
    </>
  );
}

function Tick({
  title,
  isTicked,
  colour,
  style,
  onTick,
}: {
  title: string;
  isTicked: boolean;
  colour: string;
  style: React.CSSProperties;
  onTick: (() => void) | null;
}) {
  const box = (
    <svg viewBox="0 0 20 20" className="size-full overflow-visible" aria-hidden>
      <rect
        x={1.2}
        y={1.2}
        width={17.6}
        height={17.6}
        rx={5}
        fill={isTicked ? colour : 'none'}
        stroke={colour}
        strokeWidth={2}
      />
      {isTicked && (
        <path
          d="M5.4 10.4l3.2 3.2 6-7"
          fill="none"
          stroke="var(--on-accent)"
          strokeWidth={2.4}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
    </svg>
  );
  return onTick ? (
    <button
      type="button"
      role="checkbox"
      aria-checked={isTicked}
      aria-label={title}
      style={style}
      className="panel-press z-10 rounded-md"
      onClick={onTick}
    >
      {box}
    </button>
  ) : (
    <div style={style}>{box}</div>
  );
}

export const faces = { plain: Note, leaf: Note, ruled: Note, margin: Note };
