import type { Item } from '../../core/families/index.ts';
import { type SizeNeeded, sizeInWords } from '../../core/matching/index.ts';
import type { Consumable } from '../../core/schemas/workshop.ts';

/** What the catalogue has for each item in the size that fits; where none is known, what the old one is needed for. */
export function FromCatalogue({
  items,
  supply,
  needed,
  taken,
  onTake,
}: {
  items: readonly Item[];
  supply: Record<string, Consumable[]>;
  needed: Record<string, SizeNeeded>;
  /** Number that each item was taken as. */
  taken: Record<string, string>;
  onTake: (itemId: string, number: string) => void;
}) {
  return (
    <section>
      <h2>From our catalogue</h2>
      <table className="rows">
        <tbody>
          {items
            .filter((i) => i.id in needed)
            .map((i) => (
              <tr key={i.id}>
                <Supplied
                  item={i}
                  found={supply[i.id]?.[0]}
                  needed={needed[i.id]!}
                  taken={taken[i.id]}
                  onTake={(number) => onTake(i.id, number)}
                />
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}

function Supplied({
  item,
  found,
  needed,
  taken,
  onTake,
}: {
  item: Item;
  found: Consumable | undefined;
  needed: SizeNeeded;
  taken: string | undefined;
  onTake: (number: string) => void;
}) {
  return (
    <>
      <td>
        {item.name}
        <br />
        <span className="cap">
          {found ? `${found.maker} ${found.number}, ${found.sizeText}` : wordsFor(needed)}
        </span>
      </td>
      <td className="figure">
        {found && <Stock of={found} />}
        {found && item.singleUse && found.stock > 0 && (
          <button
            type="button"
            className="btn quiet small"
            disabled={taken === found.number}
            aria-label={`${taken === found.number ? 'taken' : 'Take it'}: ${item.name}, ${found.number}`}
            onClick={() => onTake(found.number)}
          >
            {taken === found.number ? 'taken' : 'Take it'}
          </button>
        )}
      </td>
    </>
  );
}

function wordsFor(needed: SizeNeeded): string {
  switch (needed.kind) {
    case 'size':
      return `none in ${sizeInWords(needed.size)}`;
    case 'by-the-old-one':
      return 'size not on record: hold it against the old one';
    case 'any':
      return 'none listed';
  }
}

function Stock({ of: { stock, leadDays } }: { of: Consumable }) {
  if (stock === 0) return <>{leadDays} days</>;
  return (
    <>
      <b>{stock}</b> in stock
    </>
  );
}
