import { Component, type ReactNode } from 'react';

interface QuietProps {
  /** What is drawn; once it is another, drawing is tried again. */
  of: unknown;
  /** What stands in the place of what fails. */
  instead: (error: Error) => ReactNode;
  children: ReactNode;
}

/** Keeps a failure where it happens: something stands in for the part that can't be drawn, and all else lives on. */
export class Quiet extends Component<QuietProps, { error: Error | null; of: unknown }> {
  override state = { error: null, of: this.props.of };

  static getDerivedStateFromError(error: unknown) {
    return { error: error instanceof Error ? error : new Error(String(error)) };
  }

  static getDerivedStateFromProps({ of }: QuietProps, state: { of: unknown }) {
    return of === state.of ? null : { of, error: null };
  }

  override render() {
    return this.state.error ? this.props.instead(this.state.error) : this.props.children;
  }
}

/** A part of a desk whose drawing fails shows a quiet card in its own place. */
export function QuietCard({ title, of, children }: { title: string; of: unknown; children: ReactNode }) {
  return (
    <Quiet
      of={of}
      instead={() => (
        <div
          data-quiet
          className="grid size-full place-items-center rounded-lg p-2 text-center text-[15px] opacity-80"
          style={{ background: 'rgb(0 0 0 / .45)', color: '#fff' }}
        >
          {title} can&rsquo;t be drawn
        </div>
      )}
    >
      {children}
    </Quiet>
  );
}
