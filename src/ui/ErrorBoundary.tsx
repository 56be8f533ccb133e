import { Component, type ReactNode } from 'react';
import { Call } from './Panels.tsx';

/**
 * A screen that breaks says so and can be tried again. Half-typed figures are kept in the browser, so nothing that was
 * typed is lost with the drawing.
 */
export class ErrorBoundary extends Component<{ children: ReactNode }, { broke: boolean }> {
  override state = { broke: false };

  static getDerivedStateFromError(): { broke: boolean } {
    return { broke: true };
  }

  override render(): ReactNode {
    if (!this.state.broke) return this.props.children;
    return (
      <div className="grid gap-3 p-4">
        <Call status="stop">This screen broke. What you typed is kept in this browser.</Call>
        <div>
          <button type="button" className="btn" onClick={() => this.setState({ broke: false })}>
            Try again
          </button>
        </div>
      </div>
    );
  }
}
