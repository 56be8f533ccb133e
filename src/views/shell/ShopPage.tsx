import type { ReactNode } from 'react';
import { ErrorBoundary } from '../../ui/ErrorBoundary.tsx';
import { Keys } from './Keys.tsx';
import { ShiftPin } from './ShiftPin.tsx';
import { TitleBlock, WhoPick } from '../../ui/TitleBlock.tsx';

/** A page about the shop, outside any job: head strip, title with a way back, and the page itself. */
export function ShopPage({
  shop,
  note,
  person,
  title,
  lines,
  back = { href: '/', word: 'Floor' },
  frame = 'kit-frame',
  main = 'station kit-main',
  children,
}: {
  shop: string;
  /** What the page is about, under the shop's name. */
  note: string;
  person?: {
    people: readonly { id: string; name: string }[];
    who: string;
    onWho: (id: string) => void;
  };
  title: string;
  lines: readonly string[];
  back?: { href: string; word: string };
  frame?: string;
  main?: string;
  children: ReactNode;
}) {
  return (
    <div className={`frame ${frame}`}>
      <Keys />
      <ShiftPin />
      <TitleBlock>
        <div className="cell job">
          <p>
            <b>{shop}</b>
            <span>{note}</span>
          </p>
        </div>
        {person && (
          <div className="cell person">
            <WhoPick {...person} />
          </div>
        )}
      </TitleBlock>
      <div className="tophd">
        <div>
          <h1>{title}</h1>
          <p>
            {lines.map((l) => (
              <span key={l}>{l}</span>
            ))}
          </p>
        </div>
        <a className="btn quiet" href={back.href}>
          {back.word}
        </a>
      </div>
      <main className={main}>
        <ErrorBoundary>{children}</ErrorBoundary>
      </main>
    </div>
  );
}
