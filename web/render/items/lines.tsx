import { LINE_HEIGHT } from '../../../core/items/text.ts';

/** Text on an edge: one line, or one above the other on an upright edge. */
export function Lines({ lines, fontSize }: { lines: readonly string[]; fontSize: number }) {
  return (
    <div
      className="flex size-full flex-col items-center justify-center whitespace-pre font-medium tabular-nums"
      style={{ fontSize, lineHeight: LINE_HEIGHT, fontFamily: 'var(--font-desk-text)' }}
    >
      {lines.map((line, index) => (
        <span key={index}>{line}</span>
      ))}
    </div>
  );
}
