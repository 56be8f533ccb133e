import { useState } from 'react';
import {
  facts,
  factsOfWay,
  type SchoolId,
  schoolOption,
  schools,
  schoolsOf,
} from '../../core/families/index.ts';
import { familyCodeOf, usualWay, wayOf } from '../../core/job/index.ts';
import { Choices } from '../../ui/Panels.tsx';
import { ReasonDialog } from '../shell/ReasonDialog.tsx';
import { useJob } from '../shell/useJob.ts';

/** Where good technicians differ: the way this job goes, the usual one first, another with its reason. */
export function Schools() {
  const { view } = useJob();
  const ids = schoolsOf(familyCodeOf(view));
  if (ids.length === 0) return null;
  const other = ids.filter((id) => wayOf(view, id) !== usualWay(view, id)).length;
  return (
    <details className="more schools">
      <summary>
        Where good technicians differ: {ids.length} questions,{' '}
        {other === 0 ? 'all the usual way' : `${other} another way`}
      </summary>
      {ids.map((id) => (
        <Question key={id} id={id} />
      ))}
    </details>
  );
}

function Question({ id }: { id: SchoolId }) {
  const { view, send } = useJob();
  const [asking, setAsking] = useState<string>();
  const way = wayOf(view, id);
  const chosen = view.state.schools[id];
  const choose = (option: string) => {
    if (option === usualWay(view, id)) void send('school-chosen', { school: id, option });
    else setAsking(option);
  };
  return (
    <section>
      <h3>{schools[id].ask}</h3>
      <Choices
        name={schools[id].ask}
        value={way}
        onValue={choose}
        options={schools[id].options.map((o) => ({ id: o.id, label: o.name }))}
      />
      <p className="cap">
        {schoolOption(id, way)?.why}
        {chosen?.reason && ` Here: ${chosen.reason}.`}
      </p>
      {id === 'feed' && way === 'oil' && (
        <ul className="conditions">
          {factsOfWay({ school: 'feed', option: 'oil' }).map((f) => (
            <li key={f}>{facts[f].ask}</li>
          ))}
        </ul>
      )}
      {asking !== undefined && (
        <ReasonDialog
          title={schoolOption(id, asking)?.name ?? asking}
          text={`${schoolOption(id, asking)?.why ?? ''} The usual way here: ${schoolOption(id, usualWay(view, id))?.name ?? ''}. Why another on this job?`}
          onClose={() => setAsking(undefined)}
          onReason={(reason) => send('school-chosen', { school: id, option: asking, reason })}
        />
      )}
    </section>
  );
}
