import { DeskIcon } from '../../kit/icons.tsx';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';

export const TrayItem: ItemDrawing<'tray'> = ({ view, layout }) => (
  <>
    {layout.well && (
      <span
        style={{
          ...placeOf(layout.well),
          borderRadius: 999,
          background: 'color-mix(in srgb, var(--ink) 12%, transparent)',
        }}
      />
    )}
    {view.signs.map((sign, index) => {
      const box = layout.signs[index];
      return (
        box && (
          <span
            key={sign.id}
            role="img"
            aria-label={sign.title}
            title={sign.title}
            style={{
              ...placeOf(box),
              color: sign.icon.endsWith('-high') ? 'var(--alert)' : undefined,
              opacity: sign.icon.endsWith('-offline') ? 0.5 : 1,
            }}
          >
            <DeskIcon name={sign.icon} size={box.width} />
          </span>
        )
      );
    })}
    <Runs runs={layout.runs} />
  </>
);
