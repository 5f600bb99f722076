import { windowButtonTitles } from '../../../../core/values/window-buttons.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Press } from '../../kit/press.tsx';
import { Runs, placeOf } from '../../kit/runs.tsx';
import { WindowSign } from '../../kit/window-signs.tsx';

/** Px around a sign that can be pressed. */
const AROUND = 6;

export const FrontTitleItem: ItemDrawing<'front-title'> = ({ view, layout }) => (
  <>
    <div className="pointer-events-none absolute inset-0">
      <Runs runs={layout.runs} />
    </div>
    {layout.buttons.map(({ does, rect }) => (
      <div
        key={does}
        style={placeOf({
          x: rect.x - AROUND,
          y: rect.y - AROUND,
          width: rect.width + 2 * AROUND,
          height: rect.height + 2 * AROUND,
        })}
      >
        <Press
          label={`${does === 'fill' && view.isFilled ? 'Fill no more' : windowButtonTitles[does]}: ${view.title}`}
          onPress={(actions) => view.window && actions.window({ does, window: view.window })}
          className="panel-press grid place-items-center"
        >
          <WindowSign shape={view.look.shape} does={does} size={rect.width} weight={view.look.weight} />
        </Press>
      </div>
    ))}
  </>
);
