import { DeskIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { placeOf } from '../../runs.tsx';

export const TrayItem: ItemDrawing<'tray'> = ({ view, layout }) =>
  view.signs.map((sign, index) => {
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
  });
