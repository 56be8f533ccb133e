import { type SchoolId, schoolIds, schoolOption, schools } from '../../core/families/index.ts';
import { Choices } from '../../ui/Panels.tsx';

type Chosen = Partial<Record<SchoolId, string>>;

/** The shop's own way at every question on which good technicians differ: the default of each job. */
export function ShopSchools({
  chosen,
  onChosen,
}: {
  chosen: Chosen;
  onChosen: (next: Chosen) => void;
}) {
  return (
    <details className="more">
      <summary>How this shop goes where good technicians differ</summary>
      {schoolIds.map((id) => {
        const way = chosen[id] ?? schools[id].options[0]?.id ?? '';
        return (
          <section key={id}>
            <h3>{schools[id].ask}</h3>
            <Choices
              name={schools[id].ask}
              value={way}
              onValue={(option) => onChosen({ ...chosen, [id]: option })}
              options={schools[id].options.map((o) => ({ id: o.id, label: o.name }))}
            />
            <p className="cap">{schoolOption(id, way)?.why}</p>
          </section>
        );
      })}
    </details>
  );
}
