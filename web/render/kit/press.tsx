import { useContext, type CSSProperties, type ReactNode } from 'react';
import { Actions, type DeskActions } from '../actions.ts';

const FILL = 'absolute inset-0 block rounded-md text-left';

/** Something on an edge that can be pressed while the desk is in use; otherwise it is only drawn. It fills its box. */
export function Press({
  label,
  isCurrent,
  onPress,
  className = '',
  style,
  children,
}: {
  label: string;
  /** Of several, the one in force. */
  isCurrent?: boolean;
  onPress: (actions: DeskActions) => void;
  className?: string;
  style?: CSSProperties;
  children: ReactNode;
}) {
  const actions = useContext(Actions);
  if (!actions) {
    return (
      <div className={`${FILL} ${className}`} style={style}>
        {children}
      </div>
    );
  }
  return (
    <button
      type="button"
      aria-label={label}
      aria-current={isCurrent}
      className={`${FILL} ${className}`}
      style={style}
      onClick={() => onPress(actions)}
    >
      {children}
    </button>
  );
}
