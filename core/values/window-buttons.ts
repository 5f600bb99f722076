/** The buttons that windows have, and the shapes of their signs. */

export const windowButtons = ['minimise', 'fill', 'close'] as const;
export type WindowButton = (typeof windowButtons)[number];
export const windowButtonTitles: Record<WindowButton, string> = {
  minimise: 'Minimise',
  fill: 'Fill',
  close: 'Close',
};

export const buttonShapes = ['strokes', 'wedges', 'notches', 'drops'] as const;
export type ButtonShape = (typeof buttonShapes)[number];

/** How a desk's windows show theirs. */
export interface ButtonLook {
  list: readonly { does: WindowButton }[];
  shape: ButtonShape;
  /** px of a stroke */
  weight: number;
  /** px between two */
  spacing: number;
}
