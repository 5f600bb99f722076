import { useContext } from 'react';
import type { ButtonsLayout, ButtonsView } from '../../../core/widgets/buttons-work.ts';
import { BUTTON_FILL } from '../../../core/widgets/buttons.ts';
import { Actions } from '../actions.ts';
import { DeskIcon } from '../kit/icons.tsx';
import { paint, placeOf } from '../kit/runs.tsx';

/** Buttons that do what a desk in use can be told; one that is on is filled. */
export function ActButtons({ view, layout }: { view: ButtonsView; layout: ButtonsLayout }) {
  const actions = useContext(Actions);
  const colour = paint(view.colour);
  return layout.buttons.map(({ rect, icon }, index) => {
    const button = view.buttons[index];
    if (!button) return null;
    const isOn = button.isOn === true;
    const ground = {
      ...placeOf(rect),
      borderRadius: rect.height / 2,
      background: `color-mix(in srgb, var(--ink) ${BUTTON_FILL * 100}%, transparent)`,
      boxShadow: isOn ? `inset 0 0 0 2px ${colour}` : undefined,
    };
    return (
      <span key={index}>
        <span style={ground} />
        <span style={{ ...placeOf(icon), color: isOn ? colour : 'var(--ink)' }}>
          <DeskIcon name={button.icon} size={icon.width} />
        </span>
        {actions && (
          <button
            type="button"
            aria-label={button.title}
            aria-pressed={button.isOn ?? undefined}
            className="panel-press z-10"
            style={{ ...placeOf(rect), borderRadius: rect.height / 2 }}
            onClick={() =>
              typeof button.does === 'string'
                ? actions.perform(button.does)
                : actions.goTo(button.does.workspace)
            }
          />
        )}
      </span>
    );
  });
}
