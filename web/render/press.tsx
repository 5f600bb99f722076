import { useContext, type CSSProperties, type ReactNode } from 'react';
import { Actions, type DeskActions } from './actions.ts';

/** Something on an edge that can be pressed while the desk is in use; otherwise it is only drawn. */
export function Press({
  label,
  onPress,
  className = '',
  style,
  children,
}: {
  label: string;
  onPress: (actions: DeskActions) => void;
  className?: string;
  style?: CSSProperties;
  children: ReactNode;
}) {
  const actions = useContext(Actions);
  if (!actions) {
    return (
      <div className={className} style={style}>
        {children}
      </div>
    );
  }
  return (
    <button
      type="button"
      aria-label={label}
      className={className}
      style={style}
      onClick={() => onPress(actions)}
    >
      {children}
    </button>
  );
}
