import { Component, type ReactNode } from 'react';

/** A part whose drawing fails shows a quiet card in its own place; the desk lives on. */
export class QuietCard extends Component<{ title: string; children: ReactNode }, { hasFailed: boolean }> {
  override state = { hasFailed: false };

  static getDerivedStateFromError() {
    return { hasFailed: true };
  }

  override render() {
    if (!this.state.hasFailed) return this.props.children;
    return (
      <div
        className="grid size-full place-items-center rounded-lg p-2 text-center text-[15px] opacity-80"
        style={{ background: 'rgb(0 0 0 / .45)', color: '#fff' }}
      >
        {this.props.title} can&rsquo;t be drawn
      </div>
    );
  }
}
