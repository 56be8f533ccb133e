import type { Item } from '../../core/families/index.ts';
import { type SizeNeeded, sizeInWords } from '../../core/matching/index.ts';
import type { Consumable } from '../../core/schemas/workshop.ts';

/** What the catalogue has for each item in the size that fits; where none is known, what the old one is needed for. */
export function FromCatalogue({
  items,
  supply,
  needed,
}: {
  items: readonly Item[];
  supply: Record<string, Consumable[]>;
  needed: Record<string, SizeNeeded>;
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
                <Supplied item={i} found={supply[i.id]?.[0]} needed={needed[i.id]!} />
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
}: {
  item: Item;
  found: Consumable | undefined;
  needed: SizeNeeded;
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
      <td className="figure">{found && <Stock of={found} />}</td>
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
