import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { placeOf } from '../../kit/runs.tsx';
import { DeskIcon } from '../../kit/icons.tsx';
import { Press } from '../../kit/press.tsx';
import { IconPress } from '../icon-press.tsx';

export const HalfItem: ItemDrawing<'half'> = ({ view, layout }) => {
  const label = view.half === 'light' ? 'Look at the dark half' : 'Look at the light half';
  const { groove, icon } = layout;
  if (!groove || !icon)
    return (
      <IconPress
        label={label}
        icon={view.icon}
        layout={layout}
        onPress={(actions) => actions.perform('half')}
      />
    );
  const round = Math.min(groove.width, groove.height);
  return (
    <Press label={label} onPress={(actions) => actions.perform('half')} className="panel-press">
      <span
        style={{
          ...placeOf(groove),
          borderRadius: round,
          background: 'color-mix(in srgb, var(--ink) 16%, transparent)',
          boxShadow: 'inset 0 0 0 1.5px color-mix(in srgb, var(--ink) 45%, transparent)',
        }}
      />
      <span
        style={{ ...placeOf(icon), borderRadius: icon.width, background: 'var(--accent)', display: 'grid' }}
      >
        <span className="place-self-center" style={{ color: 'var(--on-accent)' }}>
          <DeskIcon name={view.icon} size={Math.round(icon.width * 0.72)} />
        </span>
      </span>
    </Press>
  );
};
