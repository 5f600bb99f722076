import { named } from '../../../core/desk/edits/edit.ts';
import { nanoid } from 'nanoid';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { Screen } from '../../../core/desk/sections/screens.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import { controls } from '../form/controls.tsx';
import { fieldsOf } from '../form/schema.ts';
import { useDesk } from '../../session/desk.ts';
import { useScene } from '../../session/scene.ts';
import { useView } from '../../stores/view.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';

/** The screens of a desk: size, scale factor, and where each stands beside the others. */
export function ScreensSheet() {
  const screens = useDesk((state) => state.history?.present.screens) ?? [];
  const edit = useDesk((state) => state.edit);
  const [error, setError] = useState<string | null>(null);

  function add() {
    const right = Math.max(...screens.map((screen) => screen.x + screen.width));
    const screen: Screen = {
      id: nanoid(8),
      name: `Screen ${screens.length + 1}`,
      width: 1920,
      height: 1080,
      scaleFactor: 1,
      x: right,
      y: 0,
    };
    edit(edits.addScreen(screen));
    useView.getState().showScreen(screen.id);
  }

  function remove(id: string) {
    const scene = useScene.getState().scene?.screens.find((screen) => screen.id === id);
    edit(named('Remove screen', edits.remove([id, ...(scene?.widgets.map((widget) => widget.id) ?? [])])));
  }

  const set = (id: string) => (change: Partial<Screen>) => edit(edits.setScreen(id, change));
  return (
    <div className="grid gap-3">
      <Arrangement screens={screens} />
      {screens.map((screen) => (
        <ScreenRow
          key={screen.id}
          screen={screen}
          set={set(screen.id)}
          onError={setError}
          onRemove={screens.length > 1 ? () => remove(screen.id) : null}
        />
      ))}
      {error && (
        <p role="alert" className="text-[12px] text-rust">
          {error}
        </p>
      )}
      <div>
        <Button onClick={add} disabled={screens.length >= 8}>
          <Plus size={15} /> Add a screen
        </Button>
      </div>
    </div>
  );
}

function ScreenRow({
  screen,
  set,
  onError,
  onRemove,
}: {
  screen: Screen;
  set: (change: Partial<Screen>) => void;
  onError: (sentence: string | null) => void;
  onRemove: (() => void) | null;
}) {
  const fields = fieldsOf(Screen);
  return (
    <fieldset className="grid grid-cols-[1.6fr_1fr_1fr_.8fr_1fr_1fr_32px] items-end gap-2">
      {fields.map(([key, shape]) => {
        const Control = shape.facts.label === 'Name' ? controls.text : controls.figure;
        return (
          <label key={key} className="grid gap-1 text-[12px] text-dust">
            {shape.facts.label}
            <Control
              label={
                key === 'name' ? 'Name of the screen' : `${screen.name}: ${shape.facts.label.toLowerCase()}`
              }
              shape={shape}
              value={lookUp(screen as unknown as Record<string, unknown>, key)}
              onTurn={(value) => set({ [key]: typeof value === 'string' ? value.trim() : value })}
              onEnd={() => {}}
              onError={onError}
            />
          </label>
        );
      })}
      {onRemove ? (
        <IconButton label={`Remove ${screen.name}`} onClick={onRemove}>
          <Trash2 size={15} />
        </IconButton>
      ) : (
        <span />
      )}
    </fieldset>
  );
}

/** The screens as they stand beside each other. */
function Arrangement({ screens }: { screens: readonly Screen[] }) {
  const left = Math.min(...screens.map((screen) => screen.x));
  const top = Math.min(...screens.map((screen) => screen.y));
  const width = Math.max(...screens.map((screen) => screen.x + screen.width)) - left;
  const height = Math.max(...screens.map((screen) => screen.y + screen.height)) - top;
  return (
    <svg
      viewBox={`${left - 20} ${top - 20} ${width + 40} ${height + 40}`}
      className="h-32 w-full rounded-lg bg-pit p-2"
      role="img"
      aria-label="How the screens stand"
    >
      {screens.map((screen) => (
        <g key={screen.id}>
          <rect
            x={screen.x}
            y={screen.y}
            width={screen.width}
            height={screen.height}
            rx={height * 0.02}
            fill="var(--nap)"
            stroke="var(--dust)"
            strokeWidth={height * 0.008}
          />
          <text
            x={screen.x + screen.width / 2}
            y={screen.y + screen.height / 2}
            textAnchor="middle"
            dominantBaseline="middle"
            fill="var(--chalk)"
            fontSize={height * 0.1}
          >
            {screen.name}
          </text>
        </g>
      ))}
    </svg>
  );
}
