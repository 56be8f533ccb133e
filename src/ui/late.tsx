import { Component, type ComponentType, type ReactNode, Suspense, use } from 'react';

/** A part that did not come says so where it should stand, and can be asked for again. */
class Missing extends Component<
  { children: ReactNode; instead: ReactNode; onAgain: () => void },
  { missing: boolean }
> {
  override state = { missing: false };

  static getDerivedStateFromError(): { missing: boolean } {
    return { missing: true };
  }

  override render(): ReactNode {
    if (!this.state.missing) return this.props.children;
    const again = () => {
      this.props.onAgain();
      this.setState({ missing: false });
    };
    return (
      <>
        {this.props.instead}
        <p className="note" role="alert">
          This part did not load: no connection to the shop computer.{' '}
          <button type="button" className="btn quiet small" onClick={again}>
            Load it again
          </button>
        </p>
      </>
    );
  }
}

/**
 * A part of a page that comes with the tap that needs it. React's own `lazy` keeps a failure for as long as the page is
 * open; here the next try asks anew. `waiting` stands in its place until it is there.
 */
export function late<P extends object>(
  load: () => Promise<ComponentType<P>>,
  waiting: (p: P) => ReactNode = () => null,
): ComponentType<P> {
  let loading: Promise<ComponentType<P>> | undefined;
  const forget = () => {
    loading = undefined;
  };
  function Part(p: P) {
    const Loaded = use((loading ??= load()));
    return <Loaded {...p} />;
  }
  return function Late(p: P) {
    return (
      <Missing instead={waiting(p)} onAgain={forget}>
        <Suspense fallback={waiting(p)}>
          <Part {...p} />
        </Suspense>
      </Missing>
    );
  };
}
