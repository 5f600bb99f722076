import { LINE_HEIGHT } from '../../../core/items/text.ts';
import { setIn } from '../type.ts';

/** Text on an edge: one line, or one above the other on an upright edge. */
export function Lines({ lines, fontSize }: { lines: readonly string[]; fontSize: number }) {
  return (
    <div
      className="flex size-full flex-col items-center justify-center whitespace-pre tabular-nums"
      style={{ ...setIn('text', { size: fontSize, weight: 500 }), lineHeight: LINE_HEIGHT }}
    >
      {lines.map((line, index) => (
        <span key={index}>{line}</span>
      ))}
    </div>
  );
}
