import { type ReactNode, useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { ImportBox } from '../shell/ImportBox.tsx';
import { RetireTool } from '../shell/RetireTool.tsx';
import { useLeadPin } from '../shell/useLeadPin.tsx';
import { keepRecords, shopNow } from './keepRecords.ts';

/** Kinds of tool that a shop lists: what tightens, and what measures. */
type Kind = 'wrenches' | 'instruments';
type Tool<K extends Kind> = ShopView[K][number];

export interface ToolListProps {
  shop: ShopView;
  who: string;
  onShop: (s: ShopView) => void;
}

/** Tools of one kind: each as it stands, put away or back, a form for one more, and a file of many; a lead answers for all of it. */
export function ToolList<K extends Kind>({
  shop,
  who,
  onShop,
  kind,
  title,
  one,
  none,
  picture,
  tools,
  row,
  form,
}: ToolListProps & {
  kind: K;
  title: string;
  /** One of them, as in "Add …". */
  one: string;
  none: string;
  picture?: ReactNode;
  tools: readonly Tool<K>[];
  row: (tool: Tool<K>) => ReactNode;
  /** Fields of a new one; `keep` says whether it was taken. */
  form: (keep: (tool: Tool<K>) => Promise<boolean>, fault: ReactNode) => ReactNode;
}) {
  const person = shop.people.find((p) => p.id === who);
  const lead = useLeadPin(person);
  const [fault, setFault] = useState<string>();
  const keep = async (tool: Tool<K>): Promise<boolean> => {
    const r = await keepRecords({ [kind]: [tool] }, lead.ask);
    setFault(r.ok ? undefined : r.reason);
    if (r.ok) onShop(r.shop);
    return r.ok;
  };
  const told = fault && (
    <p className="note" role="alert">
      {fault}
    </p>
  );
  return (
    <section>
      <h2>{title}</h2>
      {tools.length === 0 && <p className="note">{none}</p>}
      {picture}
      <ul className="shop-list">
        {tools.map((t) => (
          <li key={t.id} className={t.retired ? 'retired' : ''}>
            {row(t)}{' '}
            <RetireTool
              what={t.name}
              retired={t.retired !== undefined}
              onRetire={async (why) => {
                const { retired: _was, ...kept } = t;
                await keep((why ? { ...kept, retired: why } : kept) as Tool<K>);
              }}
            />
          </li>
        ))}
      </ul>
      <details className="more">
        <summary>Add {one}</summary>
        <div className="grid gap-2">{form(keep, told)}</div>
      </details>
      <details className="more">
        <summary>A file of {title.toLowerCase()}</summary>
        {person && (
          <ImportBox
            kind={kind}
            title=""
            lead={person}
            onTaken={() => void shopNow().then((s) => s && onShop(s))}
          />
        )}
      </details>
      {lead.dialog}
    </section>
  );
}
